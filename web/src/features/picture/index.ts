export { LandingPreview } from "./LandingPreview";
export { PlacePicture } from "./PlacePicture";
export { TwoViews } from "./TwoViews";
export { StepStrip } from "./StepStrip";
export { pictureAt, usePicture, usePictures } from "./pictures";
