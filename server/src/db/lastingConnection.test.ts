import { createServer, type AddressInfo } from "node:net";
import { setTimeout } from "node:timers/promises";
import pino from "pino";
import { LastingConnection } from "./lastingConnection";

const RECONNECT_MS = 20;

it("tries a database that is gone again at one pace, however long it is gone", async () => {
  let tries = 0;
  // Somebody who hangs up at once, as a server that is going down does.
  const gone = createServer((socket) => {
    tries += 1;
    socket.destroy();
  });
  await new Promise<void>((resolve) => gone.listen(0, "127.0.0.1", resolve));
  const { port } = gone.address() as AddressInfo;
  const connection = new LastingConnection(
    `postgres://somebody@127.0.0.1:${port}/nothing`,
    "test",
    pino({ level: "silent" }),
    async () => undefined,
    RECONNECT_MS,
  );
  await connection.start();
  await setTimeout(RECONNECT_MS * 20);
  await connection.stop();
  // Doubling each time, it would have been a million.
  expect(tries).toBeGreaterThan(2);
  expect(tries).toBeLessThanOrEqual(21);
  await new Promise((resolve) => gone.close(resolve));
});
