import { act, render, screen } from "@testing-library/react-native";
import { Text } from "react-native";
import { useNow } from "./useNow";

afterEach(() => jest.useRealTimers());

function Clock() {
  return <Text>{useNow()}</Text>;
}

it("is one clock for a thousand lines, stands while nobody looks, and is right when somebody does again", () => {
  jest.useFakeTimers({ now: Date.parse("2026-11-26T17:00:00.000Z") });
  const shown = render(
    <>
      {Array.from({ length: 1000 }, (_, index) => (
        <Clock key={index} />
      ))}
    </>,
  );
  expect(jest.getTimerCount()).toBe(1);
  act(() => jest.advanceTimersByTime(30_000));
  expect(screen.getAllByText("2026-11-26T17:00:30.000Z").length).toBe(1000);
  shown.unmount();
  expect(jest.getTimerCount()).toBe(0);
  jest.setSystemTime(Date.parse("2026-11-26T19:00:00.000Z"));
  render(<Clock />);
  expect(screen.getByText("2026-11-26T19:00:00.000Z")).toBeTruthy();
});
