/** Pictures that are taken. */
export const PHOTO_TYPES = ["image/jpeg", "image/png", "image/webp"] as const;
