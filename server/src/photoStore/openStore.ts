import { diskStore } from "./diskStore";
import type { PhotoStore, S3Place } from "./photoStore";

/** The store the environment names: a bucket where one is named, else a folder. */
export async function openPhotoStore({
  photosFolder,
  photosS3,
}: {
  photosFolder: string;
  /** null: photos are files. */
  photosS3: S3Place | null;
}): Promise<PhotoStore> {
  if (photosS3 === null) return diskStore(photosFolder);
  // The client is large; a server that keeps files does without it.
  const { s3Store } = await import("./s3Store");
  return s3Store(photosS3);
}
