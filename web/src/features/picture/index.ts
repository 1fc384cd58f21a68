export { LandingPreview } from "./LandingPreview";
export { PlacePicture } from "./PlacePicture";
export { StepStrip } from "./StepStrip";
export { pictureAt, usePicture, usePictures } from "./pictures";
