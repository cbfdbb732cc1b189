import sharp from "sharp";
import { v7 as uuid } from "uuid";
import type { BusinessView } from "@mechanon/contract";
import { photoKey } from "../photoStore/photoStore";
import { askPrepared } from "../db/askPrepared";
import { ofBusiness } from "../db/ofBusiness";
import { clipOf, jpegOf } from "../testing/pictures";
import { startTestServer, type TestPerson, type TestServer } from "../testing/testServer";
import { readMedia } from "./readMedia";

let server: TestServer;
let odile: TestPerson;
let businessId: string;

beforeAll(async () => {
  server = await startTestServer();
  odile = await server.signIn();
  businessId = (await odile.get<BusinessView>("/api/business")).body.id;
});
afterAll(() => server?.stop());

/** A photo on its side, as a phone takes it, with where and with what. */
const telling = (): Promise<Buffer> =>
  sharp({ create: { width: 640, height: 400, channels: 3, background: "#87807a" } })
    .withMetadata({ orientation: 6 })
    .withExifMerge({ IFD0: { Make: "Quillcam" }, IFD3: { GPSLatitude: "48/1 2/1 16/1" } })
    .jpeg()
    .toBuffer();

async function put(bytes: Buffer, type: string, id = uuid()): Promise<string> {
  const answer = await odile.send("POST", `/api/photos/${id}`, new Uint8Array(bytes), { "Content-Type": type });
  expect(answer.status).toBe(204);
  return id;
}
const bytesOf = async (
  path: string,
  headers: Record<string, string> = {},
): Promise<{ res: Response; bytes: Buffer }> => {
  const res = await fetch(`${server.running.url}${path}`, { headers: { cookie: odile.cookie, ...headers } });
  return { res, bytes: Buffer.from(await res.arrayBuffer()) };
};

it("keeps a photo upright and without place and device, with a small one beside it", async () => {
  const sent = await telling();
  expect((await sharp(sent).metadata()).exif?.toString("latin1")).toContain("Quillcam");
  const id = await put(sent, "image/jpeg");
  const { bytes } = await bytesOf(`/api/photos/${id}`);
  const kept = await sharp(bytes).metadata();
  expect([kept.width, kept.height, kept.exif]).toEqual([400, 640, undefined]);
  const small = await bytesOf(`/api/photos/${id}?size=small`);
  const { width = 0, height = 0 } = await sharp(small.bytes).metadata();
  expect([width, height]).toEqual([200, 320]);
  // Whoever sends it again by pieces is told that all of what was sent is here.
  expect((await odile.get<{ arrivedBytes: number }>(`/api/photos/${id}/pieces`)).body.arrivedBytes).toBe(sent.length);
});

it("leaves one alone that tells nothing", async () => {
  const id = await put(jpegOf(), "image/jpeg");
  expect((await bytesOf(`/api/photos/${id}`)).bytes).toEqual(jpegOf());
});

it("makes a small one of what was kept before there were any", async () => {
  const id = await put(await telling(), "image/jpeg");
  const { db, photos } = server.running.deps;
  await photos.remove(`${photoKey(businessId, id)}.small`);
  await ofBusiness(businessId, () => askPrepared(db, "update photos set has_small = false where id = $1", [id]));
  expect((await sharp((await bytesOf(`/api/photos/${id}?size=small`)).bytes).metadata()).width).toBe(200);
  expect(await photos.get(`${photoKey(businessId, id)}.small`)).not.toBeNull();
});

it("does not show bytes that are not those that were kept", async () => {
  const id = await put(await telling(), "image/jpeg");
  await server.running.deps.photos.put(photoKey(businessId, id), "image/jpeg", jpegOf());
  expect((await odile.get<{ code: string }>(`/api/photos/${id}`)).body).toMatchObject({ code: "photo/damaged" });
});

describe("a clip", () => {
  it("is kept without where it was taken, and sent in parts to whoever asks so", async () => {
    const sent = clipOf(12);
    expect(sent.toString("latin1")).toContain("+48.0378");
    const id = await put(sent, "video/mp4");
    const { res, bytes } = await bytesOf(`/api/photos/${id}`);
    expect(res.headers.get("content-type")).toBe("video/mp4");
    expect(bytes).toHaveLength(sent.length);
    expect(bytes.toString("latin1")).not.toContain("+48.0378");
    const part = await bytesOf(`/api/photos/${id}`, { Range: "bytes=4-7" });
    expect([part.res.status, part.bytes.toString("latin1")]).toEqual([206, "ftyp"]);
    expect(part.res.headers.get("content-range")).toBe(`bytes 4-7/${sent.length}`);
    expect((await bytesOf(`/api/photos/${id}`, { Range: "bytes=999999-" })).res.status).toBe(416);
    // There is no small one of it.
    expect((await bytesOf(`/api/photos/${id}?size=small`)).bytes).toHaveLength(sent.length);
  });
  it("of more than twenty seconds is not kept", async () => {
    const answer = await odile.send<{ code: string }>("POST", `/api/photos/${uuid()}`, new Uint8Array(clipOf(40)), {
      "Content-Type": "video/mp4",
    });
    expect(answer.body).toMatchObject({ code: "photo/too-long", status: 422 });
  });
});

it.each([
  ["a text under a picture's name", Buffer.from("not a picture at all")],
  ["a picture cut off", jpegOf().subarray(0, 180)],
])("%s is told", async (_name, bytes) => {
  await expect(readMedia(bytes)).rejects.toMatchObject({ code: "photo/unreadable" });
});
