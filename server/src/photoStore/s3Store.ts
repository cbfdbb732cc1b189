import { DeleteObjectCommand, GetObjectCommand, NoSuchKey, PutObjectCommand, S3Client } from "@aws-sdk/client-s3";
import type { PhotoStore, S3Place } from "./photoStore";

/** Photos as objects of a bucket, for many servers; the credentials come from the environment, as the client's do. */
export function s3Store({ endpoint, region, bucket }: S3Place): PhotoStore {
  const client = new S3Client({
    region,
    // A store of one's own is asked by path: its buckets have no names of their own on the network.
    ...(endpoint === null ? {} : { endpoint, forcePathStyle: true }),
  });
  return {
    async put(key, type, bytes) {
      await client.send(new PutObjectCommand({ Bucket: bucket, Key: key, Body: bytes, ContentType: type }));
    },
    async get(key) {
      try {
        const { Body } = await client.send(new GetObjectCommand({ Bucket: bucket, Key: key }));
        return Body ? Buffer.from(await Body.transformToByteArray()) : null;
      } catch (error) {
        if (error instanceof NoSuchKey) return null;
        throw error;
      }
    },
    async remove(key) {
      await client.send(new DeleteObjectCommand({ Bucket: bucket, Key: key }));
    },
  };
}
