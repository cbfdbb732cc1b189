import { createServer, type Server } from "node:http";
import type { AddressInfo } from "node:net";
import { OutsideHttp } from "../outside/http";
import { httpRouting } from "../outside/routing/httpRouting";
import { travelByRoad } from "./roads";
import { travelBetween } from "./travelBetween";

const HOME = { latitude: 48.0378, longitude: -122.6049 };
const EBB_COURT = { latitude: 48.0216, longitude: -122.6258 };
const FAR = { latitude: 47.9, longitude: -122.5 };

let server: Server;
let url: string;
let asked: string[] = [];
let reply: { status: number; body: object };
beforeAll(async () => {
  server = createServer((req, res) => {
    asked.push(req.url ?? "");
    res.writeHead(reply.status, { "Content-Type": "application/json" }).end(JSON.stringify(reply.body));
  }).listen(0, "127.0.0.1");
  await new Promise((resolve) => server.once("listening", resolve));
  url = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
});
afterAll(() => new Promise((resolve) => server.close(resolve)));
beforeEach(() => {
  asked = [];
});

const routing = () => httpRouting(new OutsideHttp(1000, 1), url);
const byRoad = travelByRoad();

it("asks a routing server once for all points, each once, and rounds its seconds to minutes", async () => {
  reply = { status: 200, body: { durations: [[0, 629], [null, 0]] } }; // prettier-ignore
  const travel = await travelBetween(routing(), [HOME, EBB_COURT, HOME, { latitude: null, longitude: null }]);
  expect(asked).toEqual(["/table/v1/driving/-122.6049,48.0378;-122.6258,48.0216?annotations=duration"]);
  expect(travel(HOME, EBB_COURT)).toBe(10);
  // Where it knows no way, and from elsewhere, the roads of the region stand.
  expect(travel(EBB_COURT, HOME)).toBe(byRoad(EBB_COURT, HOME));
  expect(travel(HOME, FAR)).toBe(byRoad(HOME, FAR));
});

it.each([
  ["fails", { status: 500, body: {} }],
  ["answers something else", { status: 200, body: { durations: "soon" } }],
])("goes by the roads of the region where the routing server %s", async (_name, answer) => {
  reply = answer;
  const travel = await travelBetween(routing(), [HOME, EBB_COURT]);
  expect(travel(HOME, EBB_COURT)).toBe(byRoad(HOME, EBB_COURT));
});
