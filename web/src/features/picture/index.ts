export { LandingPreview } from "./LandingPreview";
export { PlacePicture } from "./PlacePicture";
export { TwoViews } from "./TwoViews";
export { StepRow, StepStrip } from "./StepStrip";
export { pictureAt, pictureOf, picturesKey, usePictures } from "./pictures";
