import { RefreshOnce } from "./refreshOnce";

beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

it("looks again once for a change, whoever tells of it and however far apart", () => {
  const refresh = jest.fn();
  const once = new RefreshOnce(refresh);
  expect(once.tell({ id: "order-1", revision: 2 })).toBe(true);
  expect(once.tell({ id: "order-1", revision: 2 })).toBe(false);
  jest.runAllTimers();
  once.tell({ id: "order-1", revision: 2 });
  jest.runAllTimers();
  expect(refresh).toHaveBeenCalledTimes(1);
  once.tell({ id: "order-1", revision: 3 });
  once.tell({ id: "order-2", revision: 9 });
  jest.runAllTimers();
  expect(refresh).toHaveBeenCalledTimes(2);
});

it("looks again each time something beside the state changed, and forgets the oldest", () => {
  const refresh = jest.fn();
  const once = new RefreshOnce(refresh);
  for (let time = 0; time < 2; time++) {
    once.tell({ id: "order-1", revision: 0 });
    jest.runAllTimers();
  }
  expect(refresh).toHaveBeenCalledTimes(2);
  for (let revision = 1; revision <= 300; revision++) once.tell({ id: "order-1", revision });
  jest.runAllTimers();
  once.tell({ id: "order-1", revision: 1 });
  jest.runAllTimers();
  expect(refresh).toHaveBeenCalledTimes(4);
  once.tell({ id: "order-1", revision: 301 });
  once.stop();
  jest.runAllTimers();
  expect(refresh).toHaveBeenCalledTimes(4);
});
