/** Where the bytes of photos are kept; what is known of them stands in the database. */
export interface PhotoStore {
  /** Keeps bytes under a key; the same key again keeps the same bytes. */
  put(key: string, type: string, bytes: Buffer): Promise<void>;
  /** null: nothing is kept under the key. */
  get(key: string): Promise<Buffer | null>;
  /** Lets go of a key; one that is not there is gone already. */
  remove(key: string): Promise<void>;
}

/** A photo's key: by business first, so that all of one can be moved or removed together. */
export function photoKey(businessId: string, id: string): string {
  return `${businessId}/${id}`;
}

/** A bucket of a store that speaks the S3 protocol. */
export interface S3Place {
  /** null: the store of the environment's region. */
  endpoint: string | null;
  region: string;
  bucket: string;
}
