import { act, fireEvent, screen } from "@testing-library/react-native";
import { show } from "../testing/harness";
import { readPhoto, type PhotoReading, type PhotoStep } from "./readPhoto";
import { ScanPart } from "./ScanPart";
import { readingWords } from "./scanWords";

jest.mock("./readPhoto");
jest.mock("./LiveCamera", () => ({ LiveCamera: () => null }));

const VIN = "JF2SJAEC4EH430915";
const OTHER = "3FA6P0H76FR193745";
const readVin = (vin: string) => ({ vin, changed: 0, checkDigitOk: true });
const none: PhotoReading = { from: "text", vins: [], plates: [] };
const read = jest.mocked(readPhoto);
const onFound = jest.fn();
const onReading = jest.fn();
/** Gives the photo that the phone's camera would. */
const photograph = async (): Promise<void> => {
  const input = screen.UNSAFE_getByProps({ type: "file" });
  await act(async () => {
    fireEvent(input, "change", { target: { files: [new Blob(["x"])], value: "x" } });
    await Promise.resolve();
  });
};
beforeEach(() => {
  onFound.mockClear();
  read.mockReset();
});

it("shows what the photo says, and takes it only when somebody says so", async () => {
  read.mockResolvedValue({ ...none, from: "code", vins: [readVin(VIN), readVin(OTHER)] });
  show(<ScanPart wanted="vin" onReading={onReading} onFound={onFound} />);
  await photograph();
  expect(await screen.findByText(/2 codes with a VIN/)).toBeTruthy();
  expect(onFound).not.toHaveBeenCalled();
  fireEvent.press(screen.getByRole("button", { name: OTHER }));
  expect(onFound).toHaveBeenCalledWith(OTHER);
  expect(screen.queryByRole("button", { name: VIN })).toBeNull();
});

it("reads plates where a plate is wanted, and does not scan codes then", async () => {
  read.mockResolvedValue({ ...none, plates: ["FRY5083"] });
  show(<ScanPart wanted="plate" onReading={onReading} onFound={onFound} />);
  expect(screen.queryByTestId("scan-live")).toBeNull();
  await photograph();
  fireEvent.press(await screen.findByRole("button", { name: "FRY5083" }));
  expect(onFound).toHaveBeenCalledWith("FRY5083");
});

it("says what it does meanwhile, and stops when it is told to", async () => {
  let say: (step: PhotoStep) => void = () => undefined;
  read.mockImplementation(
    (_file, _wanted, onStep, signal) =>
      new Promise((_resolve, reject) => {
        say = onStep;
        signal.addEventListener("abort", () => reject(new Error("stopped")));
      }),
  );
  show(<ScanPart wanted="vin" onReading={onReading} onFound={onFound} />);
  await photograph();
  act(() => say("codes"));
  expect(screen.getByText(/Looking for a code/)).toBeTruthy();
  act(() => say("turned"));
  expect(screen.getByText(/Turning the photo/)).toBeTruthy();
  await act(async () => {
    fireEvent.press(screen.getByRole("button", { name: "Stop reading" }));
    await Promise.resolve();
  });
  expect(screen.queryByText(/Turning the photo/)).toBeNull();
  expect(screen.queryByRole("alert")).toBeNull();
});

it.each<[string, PhotoReading | null | Error, RegExp]>([
  ["a file that is no picture", null, /no picture this phone can read/],
  ["a photo that shows nothing", none, /No VIN was found/],
  ["a reader that is not there", new Error("offline"), /no connection/],
])("tells of %s", async (_name, answer, words) => {
  if (answer instanceof Error) read.mockRejectedValue(answer);
  else read.mockResolvedValue(answer);
  show(<ScanPart wanted="vin" onReading={onReading} onFound={onFound} />);
  await photograph();
  expect(await screen.findByText(words)).toBeTruthy();
});

it("never claims more than was read", () => {
  expect(readingWords({ ...none, vins: [readVin(VIN)] }, "vin")).toBe("The photo seems to say:");
  expect(readingWords({ ...none, from: "code", vins: [readVin(VIN)] }, "vin")).toBe("The code says:");
  expect(readingWords({ ...none, plates: ["A", "B"] }, "plate")).toBe("The photo seems to say one of these:");
  expect(readingWords(none, "plate")).toMatch(/No plate was found/);
});
