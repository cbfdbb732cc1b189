import { act, fireEvent, screen, waitFor } from "@testing-library/react-native";
import { CarForm } from "../cars/CarForm";
import { CustomerForm } from "../customers/form/CustomerForm";
import { ConcernSettings } from "../settings/ConcernSettings";
import { NewcomerEditor } from "../settings/NewcomerEditor";
import { BUSINESS, fakeServer, show } from "../testing/harness";
import { SETTINGS_SAMPLE, vehicleSample } from "../testing/samples";
import { useUnsavedForms } from "./useUnsaved";

const saved = jest.fn(() => Promise.resolve());
const customer = (
  <CustomerForm
    form="customer/c1"
    title="Change"
    initial={{ name: "Maren" }}
    saveLabel="Save"
    onSave={saved}
    onLeave={jest.fn()}
  />
);

beforeEach(() => {
  fakeServer({ "GET /api/business": { body: BUSINESS }, "PATCH /api/business/concerns": { body: SETTINGS_SAMPLE } });
  saved.mockClear();
});

it("a customer's form that is left has what was typed when one comes back, and says so", async () => {
  show(customer);
  fireEvent.changeText(screen.getByLabelText("Name or business"), "Maren Oyelaran-Vance");
  screen.unmount();
  show(customer);
  expect(await screen.findByText(/What was typed here and not saved is back/)).toBeTruthy();
  expect(screen.getByLabelText("Name or business")).toHaveDisplayValue("Maren Oyelaran-Vance");
  fireEvent.press(screen.getByRole("button", { name: /Give it up/ }));
  expect(screen.getByLabelText("Name or business")).toHaveDisplayValue("Maren");
  expect(useUnsavedForms.getState().forms).toEqual({});
});

it("is told of no more once it is saved, or left on purpose", async () => {
  show(customer);
  fireEvent.changeText(screen.getByLabelText("Name or business"), "Maren O");
  // Until the form says, too, that it is no more being saved.
  await act(async () => {
    fireEvent.press(screen.getByTestId("save-customer"));
    await new Promise((done) => setTimeout(done));
  });
  expect(saved).toHaveBeenCalled();
  expect(useUnsavedForms.getState().forms).toEqual({});
  await act(async () => fireEvent.changeText(screen.getByLabelText("Name or business"), "Maren P"));
  await act(async () => fireEvent.press(screen.getByRole("button", { name: "Leave it as it was" })));
  expect(useUnsavedForms.getState().forms).toEqual({});
});

it("a car's form, and a list of the settings, keep theirs", async () => {
  const car = <CarForm vehicle={vehicleSample()} onLeave={jest.fn()} />;
  show(car);
  fireEvent.changeText(screen.getByLabelText("Nickname"), "Bluebell");
  screen.unmount();
  show(car);
  await waitFor(() => expect(screen.getByLabelText("Nickname")).toHaveDisplayValue("Bluebell"));
  screen.unmount();
  show(<ConcernSettings />);
  fireEvent.press(screen.getByRole("button", { name: "Change Brakes grind" }));
  fireEvent.changeText(screen.getByLabelText("Phrase"), "Brakes grind badly");
  screen.unmount();
  show(<ConcernSettings />);
  expect(screen.getByText("Brakes grind badly")).toBeTruthy();
  fireEvent.press(screen.getByTestId("save-concerns"));
  expect(await screen.findByText(/Saved\. New work orders/)).toBeTruthy();
  expect(Object.keys(useUnsavedForms.getState().forms)).toEqual(["car/car-1"]);
});

it("what an older app kept and does not fit any more is let go, not shown broken", () => {
  useUnsavedForms.setState({ forms: { "settings/newcomers": { questions: 4 } } });
  show(<NewcomerEditor />);
  expect(screen.queryByText(/not saved is back/)).toBeNull();
  expect(screen.getByLabelText(/How they found us/)).toHaveDisplayValue("A friend, Web search");
});
