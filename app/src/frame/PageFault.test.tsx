import { fireEvent, screen } from "@testing-library/react-native";
import { show } from "../testing/harness";
import { PageFault } from "./PageFault";

it("says what is kept where a page cannot be opened, puts it on record, loads it again, or leads to the day", () => {
  const recorded = jest.spyOn(globalThis, "reportError").mockImplementation(() => undefined);
  const [reload, assign] = [jest.fn(), jest.fn()];
  Object.defineProperty(globalThis, "location", { value: { reload, assign }, configurable: true });
  const error = new Error("a piece did not come");
  show(<PageFault error={error} />);
  expect(screen.getByText(/What you did is kept on this device/)).toBeTruthy();
  expect(recorded).toHaveBeenCalledWith(error);
  fireEvent.press(screen.getByRole("button", { name: "Load it again" }));
  expect(reload).toHaveBeenCalled();
  fireEvent.press(screen.getByRole("button", { name: "To the day" }));
  expect(assign).toHaveBeenCalledWith("/");
});
