import { useNewerVersion, takeNewerVersion, watchForNewer } from "./useNewerVersion";

/** A service worker of no browser: it says its state, and keeps what it was told. */
class Worker extends EventTarget {
  told: unknown[] = [];
  postMessage(message: unknown): void {
    this.told.push(message);
  }
}

class Registration extends EventTarget {
  installing: Worker | null = null;
  waiting: Worker | null = null;
  update = jest.fn(() => Promise.resolve());
  begin(): Worker {
    this.installing = new Worker();
    this.dispatchEvent(new Event("updatefound"));
    return this.installing;
  }
  finish(): void {
    const { installing } = this;
    this.waiting = installing;
    this.installing = null;
    installing?.dispatchEvent(new Event("statechange"));
  }
}

const workers = new EventTarget();
const watch = (registration: Registration, controls = true): void =>
  watchForNewer(registration as unknown as ServiceWorkerRegistration, () => controls);

beforeEach(() => {
  jest.useFakeTimers();
  Object.defineProperty(globalThis, "navigator", { value: { serviceWorker: workers }, configurable: true });
  useNewerVersion.setState({ waiting: null, isTaken: false, isOpening: false });
});
afterEach(() => jest.useRealTimers());

it("tells of a newer version as it is whole: one that waits, one found later, one that was on its way as the page began to look", () => {
  const waits = new Registration();
  waits.waiting = new Worker();
  watch(waits);
  expect(useNewerVersion.getState().waiting).toBe(waits.waiting);

  useNewerVersion.setState({ waiting: null });
  const later = new Registration();
  watch(later);
  later.begin();
  expect(useNewerVersion.getState().waiting).toBeNull();
  later.finish();
  expect(useNewerVersion.getState().waiting).toBe(later.waiting);

  useNewerVersion.setState({ waiting: null });
  const before = new Registration();
  before.begin();
  watch(before);
  before.finish();
  expect(useNewerVersion.getState().waiting).toBe(before.waiting);
});

it("says nothing of the very first one, which takes over by itself", () => {
  const first = new Registration();
  first.begin();
  watch(first, false);
  first.finish();
  expect(useNewerVersion.getState().waiting).toBeNull();
});

it("says at once that it opens, as the person said so", () => {
  const registration = new Registration();
  const waiting = new Worker();
  registration.waiting = waiting;
  watch(registration);
  takeNewerVersion();
  expect(useNewerVersion.getState().isOpening).toBe(true);
  expect(waiting.told).toHaveLength(1);
});
