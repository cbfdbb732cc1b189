import type { BehindStep } from "./step";
import { photoKey, type PhotoStore } from "../photoStore/photoStore";

const BATCH = 20;

/** Photos that were kept in the database go to the store. */
export function movePhotos(store: PhotoStore): BehindStep {
  return {
    name: "0008-photos",
    async run(client) {
      const { rows } = await client.query<{ business_id: string; id: string; type: string; bytes: Buffer }>(
        `select business_id, id, type, bytes from photos where bytes is not null limit ${BATCH}`,
      );
      for (const { business_id: businessId, id, type, bytes } of rows) {
        await store.put(photoKey(businessId, id), type, bytes);
        await client.query("update photos set bytes = null, size = $3 where business_id = $1 and id = $2", [
          businessId,
          id,
          bytes.length,
        ]);
      }
      return rows.length > 0 ? {} : null;
    },
  };
}
