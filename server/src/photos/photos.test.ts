import { jpegOf } from "../testing/pictures";
import { ofBusiness } from "../db/ofBusiness";
import { mkdtemp, readdir, rm } from "node:fs/promises";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { v7 as uuid } from "uuid";
import type { BusinessView } from "@mechanon/contract";
import { startTestServer, until, type TestPerson, type TestServer } from "../testing/testServer";
import { forgetPhotos } from "./photos";
import { diskStore } from "../photoStore/diskStore";
import { photoKey, type PhotoStore } from "../photoStore/photoStore";
import { s3Store } from "../photoStore/s3Store";

let server: TestServer;
let odile: TestPerson;
let folder: string;
let stores: Record<string, PhotoStore>;
const JPEG = jpegOf();

beforeAll(async () => {
  server = await startTestServer();
  odile = await server.signIn();
  folder = await mkdtemp(join(tmpdir(), "mechanon-store-"));
  process.env.AWS_ACCESS_KEY_ID ??= "made-up";
  process.env.AWS_SECRET_ACCESS_KEY ??= "made-up";
  const endpoint = `${server.running.deps.config.standinsUrl}/objects`;
  stores = {
    "a folder": diskStore(folder),
    "a bucket": s3Store({ endpoint, region: "us-east-1", bucket: "photos" }),
  };
});
afterAll(async () => {
  await rm(folder, { recursive: true, force: true });
  await server?.stop();
});

describe.each(["a folder", "a bucket"])("%s", (name) => {
  const store = (): PhotoStore => {
    const found = stores[name];
    if (!found) throw new Error(`no store ${name}`);
    return found;
  };
  it("keeps bytes as they are, by business, and lets go of them", async () => {
    const [mine, theirs] = [photoKey(uuid(), "one"), photoKey(uuid(), "one")];
    expect(await store().get(mine)).toBeNull();
    await store().put(mine, "image/jpeg", JPEG);
    await store().put(theirs, "image/png", Buffer.from("else"));
    await store().put(mine, "image/jpeg", JPEG);
    expect(await store().get(mine)).toEqual(JPEG);
    await store().remove(mine);
    await store().remove(mine);
    expect(await store().get(mine)).toBeNull();
    expect(await store().get(theirs)).toEqual(Buffer.from("else"));
  });
});

it("leaves no half of a photo in the folder", async () => {
  const business = uuid();
  await stores["a folder"]?.put(photoKey(business, "whole"), "image/jpeg", JPEG);
  expect(await readdir(join(folder, business))).toEqual(["whole"]);
});

it("serves what was sent, from the store, and removes the bytes with the photo", async () => {
  const { deps } = server.running;
  const id = uuid();
  const { id: businessId } = (await odile.get<BusinessView>("/api/business")).body;
  await odile.send("POST", `/api/photos/${id}`, JPEG, { "Content-Type": "image/jpeg" });
  expect(await deps.photos.get(photoKey(businessId, id))).toEqual(JPEG);
  expect((await odile.get(`/api/photos/${id}`)).status).toBe(200);
  const forgotten = await ofBusiness(businessId, () =>
    deps.db.transaction((transaction) => forgetPhotos(deps.db, businessId, [id, uuid()], transaction)),
  );
  expect(forgotten).toBe(1);
  expect((await odile.get(`/api/photos/${id}`)).status).toBe(404);
  await until(
    () => deps.photos.get(photoKey(businessId, id)),
    (bytes) => bytes === null,
  );
});

describe("in pieces", () => {
  const whole = Buffer.concat([JPEG, Buffer.alloc(5000)]);
  const add = (id: string, from: number, to: number, who = odile) =>
    who.send<{ arrivedBytes: number; code?: string }>(
      "POST",
      `/api/photos/${id}/pieces?from=${from}&of=${whole.length}`,
      new Uint8Array(whole.subarray(from, to)),
      { "Content-Type": "application/octet-stream" },
    );
  const arrived = async (id: string): Promise<number> =>
    (await odile.get<{ arrivedBytes: number }>(`/api/photos/${id}/pieces`)).body.arrivedBytes;

  it("goes on from what has arrived, and is whole with the last one", async () => {
    const id = uuid();
    expect(await arrived(id)).toBe(0);
    expect((await add(id, 0, 2000)).body).toEqual({ arrivedBytes: 2000 });
    // The answer was lost: sent again, and one too far ahead, change nothing.
    expect((await add(id, 0, 2000)).body).toEqual({ arrivedBytes: 2000 });
    expect((await add(id, 3000, 4000)).body).toEqual({ arrivedBytes: 2000 });
    expect((await odile.get(`/api/photos/${id}`)).status).toBe(404);
    expect((await add(id, 2000, whole.length)).body).toEqual({ arrivedBytes: whole.length });
    const { id: businessId } = (await odile.get<BusinessView>("/api/business")).body;
    expect(await server.running.deps.photos.get(photoKey(businessId, id))).toEqual(whole);
    expect(await arrived(id)).toBe(whole.length);
    expect((await add(id, 0, 2000)).body).toEqual({ arrivedBytes: whole.length });
  });

  it("sent twice in the same moment, it is there once", async () => {
    const id = uuid();
    await Promise.all([add(id, 0, 2000), add(id, 0, 2000)]);
    expect(await arrived(id)).toBe(2000);
    const last = await Promise.all([add(id, 2000, whole.length), add(id, 2000, whole.length)]);
    expect(last.map(({ status }) => status)).toEqual([200, 200]);
    expect(await arrived(id)).toBe(whole.length);
  });

  it("where it cannot be kept at its end, it is not told to be whole, and the last piece brings it", async () => {
    const id = uuid();
    await add(id, 0, 2000);
    const put = jest.spyOn(server.running.deps.photos, "put").mockRejectedValueOnce(new Error("no room"));
    expect((await add(id, 2000, whole.length)).status).toBe(500);
    put.mockRestore();
    expect(await arrived(id)).toBe(2000);
    expect((await add(id, 2000, whole.length)).body).toEqual({ arrivedBytes: whole.length });
    expect((await odile.get(`/api/photos/${id}`)).status).toBe(200);
  });

  it("what is no picture is told with the last piece, and nothing of it stays", async () => {
    const id = uuid();
    const send = () =>
      odile.send<{ code: string }>("POST", `/api/photos/${id}/pieces?from=0&of=4`, new Uint8Array([1, 2, 3, 4]), {
        "Content-Type": "application/octet-stream",
      });
    expect((await send()).body.code).toBe("photo/unreadable");
    expect(await arrived(id)).toBe(0);
  });

  it("more than a photo may have is not begun", async () => {
    const id = uuid();
    const answer = await odile.send("POST", `/api/photos/${id}/pieces?from=0&of=900000000`, new Uint8Array([1]), {
      "Content-Type": "application/octet-stream",
    });
    expect(answer.status).toBe(422);
  });
});
