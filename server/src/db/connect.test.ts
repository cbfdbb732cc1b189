import { createServer, type AddressInfo, type Server } from "node:net";
import { connect } from "./connect";

/** A message of PostgreSQL's protocol. @see PostgreSQL: Frontend/Backend Protocol, Message Formats */
function message(type: string, body: Buffer): Buffer {
  const head = Buffer.alloc(5);
  head.write(type);
  head.writeInt32BE(body.length + 4, 1);
  return Buffer.concat([head, body]);
}
const SIGNED_IN = message("R", Buffer.alloc(4));
const READY = message("Z", Buffer.from("I"));
const DROPPED = message("E", Buffer.from("SFATAL\0C57P01\0Mterminating connection due to administrator command\0\0"));

let database: Server;
afterEach(() => new Promise((resolve) => database.close(resolve)));

it("lives on when a connection is dropped in the moment it is made", async () => {
  database = createServer((socket) => {
    socket.on("error", () => undefined);
    socket.once("data", () => socket.end(Buffer.concat([SIGNED_IN, READY, DROPPED])));
  });
  await new Promise<void>((resolve) => database.listen(0, "127.0.0.1", resolve));
  const { port } = database.address() as AddressInfo;
  const db = connect(`postgres://somebody@127.0.0.1:${port}/nothing`);
  await expect(db.query("select 1")).rejects.toThrow();
  await db.close();
});
