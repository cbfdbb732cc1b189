import { createStandins } from "./app";

const port = Number(process.env.STANDINS_PORT ?? 4301);
const server = createStandins(process.env.MESSENGER_SECRET).listen(port, "127.0.0.1", () => {
  const address = server.address();
  process.stdout.write(`Stand-ins: http://127.0.0.1:${typeof address === "object" && address ? address.port : port}\n`);
});
server.on("error", (error: NodeJS.ErrnoException) => {
  process.stderr.write(
    error.code === "EADDRINUSE"
      ? `Port ${port} is taken. Start with another: PORT=4400 ./start\n`
      : `${String(error)}\n`,
  );
  process.exit(1);
});
for (const signal of ["SIGINT", "SIGTERM"] as const) process.on(signal, () => server.close(() => process.exit(0)));
