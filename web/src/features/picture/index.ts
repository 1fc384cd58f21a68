export { LandingPreview } from "./LandingPreview";
export { PlacePicture } from "./PlacePicture";
export { pictureAt, usePicture, usePictures } from "./pictures";
