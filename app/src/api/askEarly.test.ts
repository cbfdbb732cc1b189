import { PERSON_HEADER, routes } from "@mechanon/contract";

/** What the page asks for before its scripts, opened at this address; by whom each is asked. */
function askedAt(pathname: string): Record<string, string | undefined> {
  const asked: Record<string, string | undefined> = {};
  globalThis.fetch = ((address: string, { headers }: { headers: Record<string, string> }) => {
    asked[address] = headers[PERSON_HEADER];
    return Promise.reject(new TypeError("network"));
  }) as unknown as typeof fetch;
  Object.defineProperty(globalThis, "location", { value: { pathname }, configurable: true });
  jest.isolateModules(() => void jest.requireActual("./askEarly"));
  return asked;
}
beforeEach(() => localStorage.removeItem("mechanon-kept-me"));

it("asks for what the first screen shows, as the routes are called, for the person of the page", () => {
  localStorage.setItem("mechanon-kept-me", JSON.stringify({ id: "odile" }));
  const today = new Date();
  const [, month = "", day = ""] = /^\d+-(\d+)-(\d+)$/.exec(today.toLocaleDateString("sv-SE")) ?? [];
  expect([Number(month), Number(day)]).toEqual([today.getMonth() + 1, today.getDate()]);
  expect(askedAt("/")).toEqual({
    [routes.whoAmI.path]: undefined,
    [routes.getBusiness.path]: "odile",
    [routes.getLibrary.path]: "odile",
    [`${routes.getDay.path}?date=${today.getFullYear()}-${month}-${day}`]: "odile",
  });
});
it("asks for no day elsewhere, and for nothing where nobody is signed in yet", () => {
  localStorage.setItem("mechanon-kept-me", '{"id": cut');
  expect(askedAt("/work/1")).toEqual({
    [routes.whoAmI.path]: undefined,
    [routes.getBusiness.path]: undefined,
    [routes.getLibrary.path]: undefined,
  });
  expect(askedAt("/sign-in")).toEqual({});
});
it("leaves what did not come to be asked for again", async () => {
  askedAt("/work/1");
  expect(await globalThis.mechanonAsked?.[routes.whoAmI.path]).toBeNull();
});
