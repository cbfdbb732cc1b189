import { fireEvent, render, screen } from "@testing-library/react-native";
import type { ReactElement } from "react";
import { Text } from "react-native";
import { Button } from "./Button";
import { Choices } from "./Choices";
import { FaceProvider, useColors } from "./face";
import { Field } from "./Field";
import { Fold } from "./Fold";
import { Screen } from "./Screen";
import { Stepper } from "./Stepper";
import { Words } from "./Words";
import { DAY_FACE, MIN_TARGET, NIGHT_FACE, type Colors } from "./theme";

const show = (element: ReactElement): void => void render(element, { wrapper: FaceProvider });

describe("faces", () => {
  const luminance = (hex: string): number => {
    const [r = 0, g = 0, b = 0] = [1, 3, 5]
      .map((at) => parseInt(hex.slice(at, at + 2), 16) / 255)
      .map((value) => (value <= 0.03928 ? value / 12.92 : ((value + 0.055) / 1.055) ** 2.4));
    return 0.2126 * r + 0.7152 * g + 0.0722 * b;
  };
  const contrast = (a: string, b: string): number => {
    const [light, dark] = [luminance(a), luminance(b)].sort((x, y) => y - x) as [number, number];
    return (light + 0.05) / (dark + 0.05);
  };
  const pairs: readonly (readonly [keyof Colors, keyof Colors])[] = [
    ["ink", "paper"],
    ["muted", "paper"],
    ["petrol", "paper"],
    ["alarm", "paper"],
    ["ink", "inset"],
    ["muted", "inset"],
    ["onLime", "lime"],
    ["onPetrol", "petrol"],
  ];
  it.each([
    ["day", DAY_FACE],
    ["night", NIGHT_FACE],
  ] as const)("%s: all text stands out 7 to 1", (_name, face) => {
    for (const [text, ground] of pairs)
      expect([text, ground, contrast(face[text], face[ground]) >= 7]).toEqual([text, ground, true]);
  });
});

it("buttons are named, large, and silent while busy", () => {
  const press = jest.fn();
  show(<Button label="Take $10.00" onPress={press} kind="next" />);
  const button = screen.getByRole("button", { name: "Take $10.00" });
  fireEvent.press(button);
  expect(press).toHaveBeenCalledTimes(1);
  screen.rerender(<Button label="Take $10.00" onPress={press} busy />);
  fireEvent.press(screen.getByRole("button", { name: "Take $10.00" }));
  expect(press).toHaveBeenCalledTimes(1);
  expect(MIN_TARGET).toBeGreaterThanOrEqual(48);
});

it("choices say which one is chosen", () => {
  const choose = jest.fn();
  show(
    <Choices
      label="Grade"
      options={[
        { value: "a", label: "Sound" },
        { value: "b", label: "Watch" },
      ]}
      value="a"
      onChoose={choose}
    />,
  );
  expect(screen.getByRole("radio", { name: "Sound", checked: true })).toBeTruthy();
  fireEvent.press(screen.getByRole("radio", { name: "Watch" }));
  expect(choose).toHaveBeenCalledWith("b");
});

it("the stepper adds tenths without dust and stops at its ends", () => {
  const change = jest.fn();
  show(<Stepper label="Hours" unit="h" value={0.7} step={0.1} most={0.8} onChange={change} />);
  fireEvent.press(screen.getByRole("button", { name: "Hours more" }));
  expect(change).toHaveBeenLastCalledWith(0.8);
  fireEvent.press(screen.getByRole("button", { name: "Hours less" }));
  expect(change).toHaveBeenLastCalledWith(0.6);
});

it("a field tells its fault beside its label", () => {
  show(<Field label="Phone" error="no phone number" />);
  expect(screen.getByLabelText("Phone")).toBeTruthy();
  expect(screen.getByText("✕ no phone number")).toBeTruthy();
});

it("a fold keeps its line and hides the rest", () => {
  const toggle = jest.fn();
  show(
    <Fold title="Quote" line="2 jobs, $10.00" open={false} onToggle={toggle}>
      <Text>inside</Text>
    </Fold>,
  );
  expect(screen.queryByText("inside")).toBeNull();
  fireEvent.press(screen.getByRole("button", { name: "Quote, 2 jobs, $10.00" }));
  expect(toggle).toHaveBeenCalled();
});

it("colors are only there below a face", () => {
  const Lost = (): null => {
    useColors();
    return null;
  };
  jest.spyOn(console, "error").mockImplementation(() => undefined);
  expect(() => render(<Lost />)).toThrow("useColors must be used below a FaceProvider");
});

it("a sheet says in one line what it is about while its head is scrolled out of sight", () => {
  show(
    <Screen title="1001" foldedHead="Maren Oyelaran · 2019 Honda Accord">
      <Words>Body</Words>
    </Screen>,
  );
  const scrolled = (y: number): void =>
    fireEvent.scroll(screen.getByText("Body"), {
      nativeEvent: { contentOffset: { y, x: 0 }, contentSize: {}, layoutMeasurement: {} },
    });
  scrolled(20);
  expect(screen.queryByTestId("folded-head")).toBeNull();
  scrolled(300);
  fireEvent.press(screen.getByRole("button", { name: "Maren Oyelaran · 2019 Honda Accord, to the top" }));
  scrolled(0);
  expect(screen.queryByTestId("folded-head")).toBeNull();
});
