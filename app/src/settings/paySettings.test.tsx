import { fireEvent, screen, waitFor } from "@testing-library/react-native";
import { BUSINESS, fakeServer, show } from "../testing/harness";
import { SETTINGS_SAMPLE } from "../testing/samples";
import { PaySettings } from "./PaySettings";
import { readPay, typedPayOf } from "./typedPay";

const [FIRST] = BUSINESS.people;
const PAY = [{ personId: FIRST?.id ?? "", by: "credited" as const, cents: 4_100 }];

it("keeps how a person is paid, and tells a figure that is none", async () => {
  const server = fakeServer({ "PATCH /api/business/pay": { body: { pay: PAY } }, "GET /api/business": { body: BUSINESS } }); // prettier-ignore
  show(<PaySettings />);
  const name = FIRST?.name ?? "";
  const way = (label: string): void => {
    const group = screen.getByLabelText(`How ${name} is paid`);
    const choice = screen.getAllByRole("radio", { name: label }).find((each) => group.findAll((node) => node === each).length > 0); // prettier-ignore
    if (choice) fireEvent.press(choice);
  };
  way("A share of the labor");
  fireEvent.changeText(screen.getByLabelText(`Percent of the labor, ${name}`), "101");
  fireEvent.press(screen.getByTestId("save-pay"));
  expect(await screen.findByText(/a whole number from 0 to 100/)).toBeTruthy();
  way("By the credited hour");
  fireEvent.changeText(screen.getByLabelText(`An hour, ${name}`), "41");
  fireEvent.press(screen.getByTestId("save-pay"));
  await waitFor(() =>
    expect(server.asked.find(({ method }) => method === "PATCH")?.body).toEqual({
      version: 1,
      pay: [{ from: null, to: PAY[0] }],
    }),
  );
});

it("is for who may see cost", () => {
  show(<PaySettings />, { rights: ["settings"] });
  expect(screen.getByText(/is for who may see cost/)).toBeTruthy();
});

it("reads back what it shows; whoever has no pay of their own has the house's", () => {
  const settings = { ...SETTINGS_SAMPLE, rules: { ...SETTINGS_SAMPLE.rules, pay: PAY } };
  const read = readPay.parse(typedPayOf(settings, BUSINESS.people));
  expect(read.people.filter((each) => each !== null)).toEqual(PAY);
});
