export const PICTURE_REFUSALS = {
  "photo/not-found": "That photo is gone already.",
  "photo/too-many": "This has as many photos as it can hold. Take one off first; the photo is still on this device.",
} as const;
export type PictureRefusal = keyof typeof PICTURE_REFUSALS;
