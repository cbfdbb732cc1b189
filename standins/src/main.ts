import { createStandins } from "./app";

const port = Number(process.env.STANDINS_PORT ?? 4301);
const server = createStandins().listen(port, "127.0.0.1", () => {
  const address = server.address();
  process.stdout.write(`Stand-ins: http://127.0.0.1:${typeof address === "object" && address ? address.port : port}\n`);
});
for (const signal of ["SIGINT", "SIGTERM"] as const) process.on(signal, () => server.close(() => process.exit(0)));
