/** Pictures that are taken. */
export const PHOTO_TYPES = ["image/jpeg", "image/png", "image/webp"] as const;
/** Clips that are taken. */
export const CLIP_TYPES = ["video/mp4", "video/webm", "video/quicktime"] as const;
export type MediaType = (typeof PHOTO_TYPES)[number] | (typeof CLIP_TYPES)[number];
