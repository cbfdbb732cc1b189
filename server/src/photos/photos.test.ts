import { jpegOf } from "../testing/pictures";
import { ofBusiness } from "../db/ofBusiness";
import { mkdtemp, readdir, rm } from "node:fs/promises";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { v7 as uuid } from "uuid";
import type { BusinessView } from "@mechanon/contract";
import { startTestServer, until, type Person, type TestServer } from "../testing/testServer";
import { forgetPhotos } from "./photos";
import { diskStore } from "./store/diskStore";
import { photoKey, type PhotoStore } from "./store/photoStore";
import { s3Store } from "./store/s3Store";

let server: TestServer;
let odile: Person;
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
