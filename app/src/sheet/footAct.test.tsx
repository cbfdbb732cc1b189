import { fireEvent, render, screen } from "@testing-library/react-native";
import { useState } from "react";
import { Button } from "../ui/Button";
import { FootAct, FootSlot, useFoot } from "./FootAct";
import { FaceProvider } from "../ui/face";

const [take, other] = [jest.fn(), jest.fn()];
function Sheet({ next }: { next: "money" | "parts" }) {
  const { foot, act } = useFoot();
  const [isOpen, setOpen] = useState(true);
  return (
    <FaceProvider>
      <FootSlot.Provider value={next === "money" ? foot : "beside"}>
        {isOpen ? <FootAct label="Take $4.00" onPress={take} /> : null}
        {isOpen ? <FootAct label="Ask again" onPress={other} disabled /> : null}
      </FootSlot.Provider>
      {act ? <Button {...act} label={`Foot: ${act.label}`} /> : null}
      <Button label="Fold" onPress={() => setOpen(false)} />
    </FaceProvider>
  );
}

it("stands at the foot where its section comes next, the last one alone, and goes with its section", () => {
  render(<Sheet next="money" />);
  expect(screen.getByRole("button", { name: "Foot: Ask again" })).toBeDisabled();
  expect(screen.queryByRole("button", { name: "Ask again" })).toBeNull();
  // What has no room at the foot is not lost.
  fireEvent.press(screen.getByRole("button", { name: "Take $4.00" }));
  expect(take).toHaveBeenCalledTimes(1);
  fireEvent.press(screen.getByRole("button", { name: "Fold" }));
  expect(screen.queryByRole("button", { name: /^Foot/ })).toBeNull();
});

it("stays in its place where another section comes next", () => {
  render(<Sheet next="parts" />);
  expect(screen.queryByRole("button", { name: /^Foot/ })).toBeNull();
  expect(screen.getByRole("button", { name: "Take $4.00" })).toBeTruthy();
});
