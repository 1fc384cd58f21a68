export { LandingPreview } from "./LandingPreview";
export { PlacePicture } from "./PlacePicture";
export { usePicture, usePictures } from "./pictures";
