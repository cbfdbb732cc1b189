import { Unreachable } from "../api/problem";
import { problemReply } from "../testing/harness";
import { sendPhoto } from "./sendPhoto";

const ID = "0190a000-0000-7000-8000-000000000001";
const photo = (bytes: number): Blob => new Blob([new Uint8Array(bytes)], { type: "image/jpeg" });

/** A server that keeps what arrives; `losesAt`: the line breaks with the piece that begins there, once. */
function keeping({ arrived = 0, isOld = false, losesAt = -1, stays = false } = {}) {
  const server = { arrived, losesAt, asked: [] as string[] };
  globalThis.fetch = ((address: string, { method = "GET", body }: RequestInit = {}) => {
    server.asked.push(`${method} ${address.replace(ID, "ID")}`);
    const answer = (reply: { status?: number; body?: unknown }): Promise<Response> => {
      const status = reply.status ?? 200;
      return Promise.resolve({ ok: status < 400, status, json: () => Promise.resolve(reply.body) } as Response);
    };
    if (!address.includes("/pieces")) return answer({ status: 204 });
    if (isOld) return answer(problemReply(404, "route/not-found", "There is nothing here.") as object);
    const from = Number(new URL(address, "http://here").searchParams.get("from"));
    if (method === "POST" && from === server.losesAt) {
      server.losesAt = -1;
      return Promise.reject(new TypeError("network"));
    }
    if (method === "POST" && from === server.arrived && !stays) server.arrived += (body as Blob).size;
    return answer({ body: { arrivedBytes: server.arrived } });
  }) as typeof fetch;
  return server;
}

it("sends a small one whole", async () => {
  const server = keeping();
  await sendPhoto(ID, photo(1000));
  expect(server.asked).toEqual(["POST /api/photos/ID"]);
});

it("sends a large one in pieces, and on from where the line broke", async () => {
  const server = keeping({ losesAt: 131_072 });
  await expect(sendPhoto(ID, photo(300_000))).rejects.toThrow(Unreachable);
  expect(server.arrived).toBe(131_072);
  server.asked.length = 0;
  await sendPhoto(ID, photo(300_000));
  expect(server.asked).toEqual([
    "GET /api/photos/ID/pieces",
    "POST /api/photos/ID/pieces?from=131072&of=300000",
    "POST /api/photos/ID/pieces?from=262144&of=300000",
  ]);
  expect(server.arrived).toBe(300_000);
});

it("sends nothing of one that is there already, and all at once to an older server", async () => {
  const server = keeping({ arrived: 300_000 });
  await sendPhoto(ID, photo(300_000));
  expect(server.asked).toEqual(["GET /api/photos/ID/pieces"]);
  const old = keeping({ isOld: true });
  await sendPhoto(ID, photo(300_000));
  expect(old.asked.at(-1)).toBe("POST /api/photos/ID");
});

it("waits for another time where the server takes no more of it", async () => {
  keeping({ stays: true });
  await expect(sendPhoto(ID, photo(300_000))).rejects.toThrow(Unreachable);
});
