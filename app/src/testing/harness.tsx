import { QueryClient, QueryClientProvider, notifyManager } from "@tanstack/react-query";
import { act, render } from "@testing-library/react-native";
import type { ReactElement } from "react";
import type { Me, WorkOrderView } from "@mechanon/contract";
import type { Business } from "../session/useSession";
import { useReachable } from "../api/reachable";
import { emptyLine } from "../sync/line";
import { useSync } from "../sync/state";
import { BusinessProvider } from "../session/BusinessProvider";
import { FaceProvider } from "../ui/face";
import { GUIDE_SAMPLE, LIBRARY_SAMPLE, SETTINGS_SAMPLE } from "./samples";
import { useUnsavedForms } from "../unsaved/useUnsaved";

// Answers reach what is shown outside of what a test waits for, too.
notifyManager.setNotifyFunction((notify) => act(notify));
const setReach = useReachable.setState;
useReachable.setState = (state: Parameters<typeof setReach>[0]) => act(() => setReach(state));

afterEach(async () => {
  // What a test set going comes to its end before what is shown is taken away.
  await act(async () => new Promise((done) => setTimeout(done)));
  // What one test left typed in a form is no other's.
  await act(async () => useUnsavedForms.setState({ forms: {} }));
});

export const ME: Me = {
  id: "me",
  name: "Odile Farrow",
  role: "Owner",
  isMechanic: true,
  rights: ["seeCost", "changePrices"],
  business: { id: "b", name: "Larkhaven Driveway Garage", timeZone: "America/Los_Angeles" },
};
export const BUSINESS: Business = {
  id: "b",
  name: "Larkhaven Driveway Garage",
  timeZone: "America/Los_Angeles",
  settings: SETTINGS_SAMPLE,
  libraryVersion: 1,
  library: LIBRARY_SAMPLE,
  guide: GUIDE_SAMPLE,
  people: [
    { id: "me", name: "Odile Farrow", isMechanic: true },
    { id: "tomas", name: "Tomas Quill", isMechanic: true },
    { id: "wren", name: "Wren Adeyemi", isMechanic: false },
  ],
  suppliers: [{ id: "gull-harbor", name: "Gull Harbor Parts", phone: "+13605550190" }],
  simulated: null,
};

/** One request the app made. */
export interface Asked {
  method: string;
  path: string;
  body: unknown;
  key: string | null;
}
export type Reply = { status?: number; body: unknown } | "down";

/** Stands in for the server: answers by method and path, and keeps what was asked. */
export function fakeServer(replies: Record<string, Reply | ((asked: Asked) => Reply | Promise<Reply>)>): {
  asked: Asked[];
} {
  const asked: Asked[] = [];
  useReachable.setState({ isReachable: true });
  globalThis.fetch = ((address: string, init: RequestInit = {}) => {
    const headers = init.headers as Record<string, string> | undefined;
    const one: Asked = {
      method: init.method ?? "GET",
      path: address,
      body: typeof init.body === "string" ? (JSON.parse(init.body) as unknown) : init.body,
      key: headers?.["Idempotency-Key"] ?? null,
    };
    asked.push(one);
    const found = Object.entries(replies).find(([route]) => {
      const [method, path = ""] = route.split(" ");
      return method === one.method && (path === address.split("?")[0] || path === address);
    })?.[1];
    const usual = address === "/api/offered-times" ? NO_OFFERS : "down";
    const reply = typeof found === "function" ? found(one) : (found ?? usual);
    return reply instanceof Promise ? reply.then(respond) : respond(reply);
  }) as typeof fetch;
  return { asked };
}

/** Every picker of a time asks for the best: what a test is not about is answered with none. */
const NO_OFFERS: Reply = { body: { offers: [], heldUntil: null } };

function respond(reply: Reply): Promise<Response> {
  if (reply === "down") return Promise.reject(new TypeError("network"));
  const { status = 200, body } = reply;
  return Promise.resolve({ ok: status < 400, status, json: () => Promise.resolve(body) } as Response);
}

/** A problem document. */
export function problemReply(
  status: number,
  code: string,
  detail: string,
  fields?: { path: string; message: string }[],
): Reply {
  return {
    status,
    body: { type: `urn:mechanon:problem:${code}`, title: "x", status, code, detail, ...(fields ? { fields } : {}) },
  };
}

/** A device that has nothing unsent and is busy, so that what is given stays to be looked at. */
export function resetSync(views: Record<string, WorkOrderView> = {}): void {
  emptyLine();
  useSync.setState({
    personId: ME.id,
    views,
    asOf: {},
    photos: [],
    keeping: "kept",
    online: true,
    sending: true,
    halted: null,
    failures: 0,
  });
}

/** The commands the app gave since, oldest first. */
export function givenCommands(): object[] {
  return useSync.getState().pending.flatMap((item) => ("command" in item ? [item.command] : []));
}

/** What was done since, oldest first, without ids and times. */
export function givenActs(): object[] {
  return useSync.getState().pending.map(({ id: _id, at: _at, by: _by, protocol: _protocol, ...act }) => act);
}

/** Shows something with a person signed in and the business loaded; `me` over what the person is. */
export function show(element: ReactElement, me: Partial<Me> = {}): QueryClient {
  const queries = new QueryClient({
    // Nothing is forgotten by a timer, which would keep the runner from ending.
    defaultOptions: {
      queries: { retry: false, gcTime: Infinity, staleTime: Infinity },
      mutations: { gcTime: Infinity },
    },
  });
  queries.setQueryData(["me"], { ...ME, ...me });
  queries.setQueryData(["business"], BUSINESS);
  queries.setQueryData(["laborGuide"], BUSINESS.guide);
  queries.setQueryData(["library"], {
    version: BUSINESS.libraryVersion,
    library: BUSINESS.library,
  });
  render(element, {
    wrapper: ({ children }) => (
      <QueryClientProvider client={queries}>
        <BusinessProvider>
          <FaceProvider>{children}</FaceProvider>
        </BusinessProvider>
      </QueryClientProvider>
    ),
  });
  return queries;
}
