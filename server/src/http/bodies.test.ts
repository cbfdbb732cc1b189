import { createServer, type Server } from "node:http";
import { connect, type AddressInfo, type Socket } from "node:net";
import express from "express";
import type { Route } from "@mechanon/contract";
import { z } from "zod";
import { Bodies } from "./bodies";

const declared: Route = {
  method: "post",
  path: "/take",
  area: "system",
  summary: "Takes a body",
  params: null,
  query: null,
  body: z.object({}),
  answer: null,
  mostBytes: 1000,
};
const HALF = '{"a":';

let server: Server;
let whose: string | null;
let failed: unknown[];
beforeEach(async () => {
  failed = [];
  const bodies = new Bodies(2500, 2000, { silentMs: 1000, strangerMs: 1500 });
  const read = bodies.readerOf(declared);
  const app = express();
  app.post("/take", async (req, res) => {
    try {
      await read?.(req, res, whose);
      res.json(req.body);
    } catch (error) {
      failed.push(error);
      if (!res.headersSent) res.status(400).end();
    }
  });
  server = createServer(app);
  await new Promise<void>((resolve) => server.listen(0, "127.0.0.1", resolve));
});
afterEach(() => {
  server.closeAllConnections();
  server.close();
});

/** Sends a request of so many bytes, and what of it is given; more may follow. */
function begin(text: string, bytes = 900): Socket {
  const socket = connect((server.address() as AddressInfo).port, "127.0.0.1");
  socket.on("error", () => undefined);
  socket.write(
    `POST /take HTTP/1.1\r\nHost: x\r\nContent-Type: application/json\r\nContent-Length: ${bytes}\r\n\r\n${text}`,
  );
  return socket;
}
const closed = (socket: Socket): Promise<void> => new Promise((resolve) => socket.once("close", () => resolve()));

it("drops a sender that falls silent", async () => {
  whose = "b";
  await closed(begin(HALF));
});

it("drops a stranger who drips, however steadily", async () => {
  whose = null;
  const socket = begin(HALF);
  const drip = setInterval(() => socket.write(" "), 20);
  await closed(socket);
  clearInterval(drip);
});

it("waits for one who is known and drips, until all of it is here", async () => {
  whose = "b";
  const text = '{"a":"slow but steady"}';
  const socket = begin("", text.length);
  let heard = "";
  socket.on("data", (data) => (heard += data.toString()));
  for (const letter of text) {
    socket.write(letter);
    await new Promise((resolve) => setTimeout(resolve, 10));
  }
  while (!heard.includes("slow but steady")) await new Promise((resolve) => setTimeout(resolve, 10));
  expect(heard).toContain("200 OK");
  socket.destroy();
});

it("takes so much at one time of one business, and of all, and has room again when they are gone", async () => {
  whose = "b";
  const held = [begin(HALF), begin(HALF)];
  const count = async (expected: number): Promise<void> => {
    while (failed.length < expected) await new Promise((resolve) => setTimeout(resolve, 5));
  };
  begin(HALF);
  await count(1);
  expect(failed[0]).toMatchObject({ code: "server/busy" });
  whose = "another";
  begin(HALF);
  await count(2);
  expect(failed[1]).toMatchObject({ code: "server/busy" });
  held.forEach((socket) => socket.destroy());
  await Promise.all(held.map(closed));
  const text = '{"a":1}';
  const socket = begin(text, text.length);
  const answer = await new Promise<string>((resolve) => socket.once("data", (data) => resolve(data.toString())));
  expect(answer).toContain("200 OK");
});
