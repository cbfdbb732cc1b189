import { routes } from "@mechanon/contract";
import { fakeServer, ME, problemReply } from "../testing/harness";
import { customerSample } from "../testing/samples";
import { addressOf, call } from "./call";
import { ApiProblem, Unreachable, errorWords, fieldFaults } from "./problem";

const ID = "0190a000-0000-7000-8000-000000000001";

describe("addresses", () => {
  it.each([
    ["/api/work-orders/:id/commands", { id: "a b/c" }, {}, "/api/work-orders/a%20b%2Fc/commands"],
    ["/api/plates/:region/:plate", { region: "WA", plate: "Ä1" }, {}, "/api/plates/WA/%C3%841"],
    ["/api/search", {}, { q: "50 % & more" }, "/api/search?q=50+%25+%26+more"],
  ])("%s", (path, params, query, address) => {
    expect(addressOf(path, params, query)).toBe(address);
  });
});

describe("a call", () => {
  it("sends what the route has, and checks the answer", async () => {
    const server = fakeServer({ "POST /api/session": { body: ME } });
    expect(await call(routes.signIn, { body: { login: "odile", password: "x" } })).toEqual(ME);
    expect(server.asked).toEqual([
      { method: "POST", path: "/api/session", body: { login: "odile", password: "x" }, key: null },
    ]);
  });

  it("carries the key of what must not double", async () => {
    const customer = customerSample({ id: ID, name: "A" });
    const server = fakeServer({ "POST /api/customers": { status: 201, body: customer } });
    await call(routes.createCustomer, { body: { id: ID, name: "A" }, key: ID });
    expect(server.asked[0]?.key).toBe(ID);
  });

  it("throws the server's own words", async () => {
    fakeServer({ "GET /api/session": problemReply(401, "session/missing", "You are not signed in.") });
    const error = await call(routes.whoAmI, {}).catch((thrown: unknown) => thrown);
    expect(error).toBeInstanceOf(ApiProblem);
    expect(errorWords(error)).toBe("You are not signed in.");
  });

  it.each([
    ["nobody answers", "down" as const],
    ["a gateway answers in its own words", { status: 502, body: "<html>" }],
    ["a problem that is none of ours", { status: 500, body: { code: "made/up" } }],
  ])("is unreachable when %s", async (_name, reply) => {
    fakeServer({ "GET /api/session": reply });
    const error = await call(routes.whoAmI, {}).catch((thrown: unknown) => thrown);
    expect(error).toBeInstanceOf(Unreachable);
    expect(errorWords(error)).toContain("kept on this device");
  });

  it("does not pass on an answer that is not the one agreed", async () => {
    fakeServer({ "GET /api/session": { body: { id: 7 } } });
    const error = await call(routes.whoAmI, {}).catch((thrown: unknown) => thrown);
    expect(errorWords(error)).toContain("Something went wrong on this device");
  });
});

it("finds the fault of each field", async () => {
  fakeServer({
    "GET /api/session": problemReply(422, "request/invalid", "d", [{ path: "phone", message: "no phone" }]),
  });
  const error = await call(routes.whoAmI, {}).catch((thrown: unknown) => thrown);
  expect(fieldFaults(error)).toEqual({ phone: "no phone" });
  expect(fieldFaults(new Error("x"))).toEqual({});
});

describe("an answer that was asked for before the scripts were here", () => {
  const early = (person: string): void => {
    const answer = { ok: true, status: 200, json: () => Promise.resolve({ ...ME, name: person }) };
    globalThis.mechanonAsked = { "/api/session": Promise.resolve(answer as unknown as Response) };
  };
  const who = async (): Promise<string> => (await call(routes.whoAmI, {})).name;
  beforeEach(() => {
    // Since the page was asked for.
    jest.spyOn(performance, "now").mockReturnValue(3_000);
    fakeServer({ "GET /api/session": { body: ME }, "DELETE /api/session": { status: 204, body: null } });
  });

  it("is taken once", async () => {
    early("Early Bird");
    expect([await who(), await who()]).toEqual(["Early Bird", ME.name]);
  });
  it("is too old after a while", async () => {
    early("Early Bird");
    jest.spyOn(performance, "now").mockReturnValue(60_000);
    expect(await who()).toBe(ME.name);
  });
  it("is asked for again where it did not come", async () => {
    globalThis.mechanonAsked = { "/api/session": Promise.resolve(null) };
    expect(await who()).toBe(ME.name);
  });
  it("is let go where something changes meanwhile", async () => {
    early("Signed Out");
    await call(routes.signOut, {});
    expect(await who()).toBe(ME.name);
  });
});
