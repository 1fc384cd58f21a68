/** Addresses of the views. */
export const paths = {
  map: (mapId: string) => `/map/${mapId}`,
  situation: (mapId: string, situation: string) => `/map/${mapId}/at/${situation}`,
  drill: (mapId: string, situation: string) => `/map/${mapId}/at/${situation}/drill`,
};
