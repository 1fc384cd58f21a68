/** Addresses of the views. */
export const paths = {
  map: (mapId: string) => `/map/${mapId}`,
  gates: (mapId: string) => `/map/${mapId}/gates`,
  situation: (mapId: string, situation: string) => `/map/${mapId}/at/${situation}`,
  drill: (mapId: string, situation: string) => `/map/${mapId}/at/${situation}/drill`,
};
