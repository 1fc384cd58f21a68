import type { Schemas } from "../../api/client";
import type { Segment } from "../../labels";

/** A picture with what is to be painted. */
export type DrawnPicture = Schemas["Picture"] & Schemas["Drawing"];
type BodyPart = Schemas["PicturePiece"]["part"];

/** Which part of the picture a segment is; "near" is the side on which they are, the left where there is none. */
export function partOf(segment: Segment, near: DrawnPicture["near"]): BodyPart {
  const side = near ?? "left";
  const other = side === "left" ? "right" : "left";
  switch (segment) {
    case "head":
    case "trunk":
    case "hips":
      return segment;
    case "near-arm":
      return `${side}-arm`;
    case "far-arm":
      return `${other}-arm`;
    case "near-leg":
      return `${side}-leg`;
    case "far-leg":
      return `${other}-leg`;
  }
}
