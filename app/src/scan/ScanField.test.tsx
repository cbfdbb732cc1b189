import { act, fireEvent, screen } from "@testing-library/react-native";
import type { SeenPlate, SeenVin } from "@mechanon/core/vin";
import { show } from "../testing/harness";
import { readPhoto, type PhotoReading, type PhotoStep } from "./readPhoto";
import { ScanField } from "./ScanField";
import { readingWords } from "./scanWords";

jest.mock("./readPhoto");
jest.mock("./LiveCamera", () => ({ LiveCamera: () => null }));

const VIN = "JF2SJAEC4EH430915";
const OTHER = "3FA6P0H76FR193745";
const readVin = (text: string, over: Partial<SeenVin> = {}): SeenVin => ({
  text,
  looks: 2,
  unsure: [],
  checkDigitOk: true,
  ...over,
});
const readPlate = (text: string, over: Partial<SeenPlate> = {}): SeenPlate => ({
  text,
  looks: 2,
  unsure: [],
  fits: true,
  ...over,
});
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
  show(<ScanField wanted="vin" onReading={onReading} onFound={onFound} />);
  await photograph();
  expect(await screen.findByText(/2 codes with a VIN/)).toBeTruthy();
  expect(onFound).not.toHaveBeenCalled();
  fireEvent.press(screen.getByRole("button", { name: OTHER }));
  expect(onFound).toHaveBeenCalledWith(OTHER);
  expect(screen.queryByRole("button", { name: VIN })).toBeNull();
});

it("reads plates where a plate is wanted, and does not scan codes then", async () => {
  read.mockResolvedValue({ ...none, plates: [readPlate("FRY5083")] });
  show(<ScanField wanted="plate" onReading={onReading} onFound={onFound} />);
  expect(screen.queryByTestId("scan-live")).toBeNull();
  await photograph();
  fireEvent.press(await screen.findByRole("button", { name: "FRY5083" }));
  expect(onFound).toHaveBeenCalledWith("FRY5083");
});

it("says of a plate that it does not read as its state's do", async () => {
  read.mockResolvedValue({ ...none, plates: [readPlate("GSB822", { fits: false })] });
  show(<ScanField wanted="plate" region="WA" onReading={onReading} onFound={onFound} />);
  await photograph();
  expect(await screen.findByText("✕ Plates of WA read otherwise: a sign may be wrong, or missing")).toBeTruthy();
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
  show(<ScanField wanted="vin" onReading={onReading} onFound={onFound} />);
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
  show(<ScanField wanted="vin" onReading={onReading} onFound={onFound} />);
  await photograph();
  expect(await screen.findByText(words)).toBeTruthy();
});

it("never claims more than was read", () => {
  expect(readingWords({ ...none, vins: [readVin(VIN)] }, "vin")).toBe("The photo seems to say:");
  expect(readingWords({ ...none, from: "code", vins: [readVin(VIN)] }, "vin")).toBe("The code says:");
  const [a, b] = [readPlate("FRY5083", { looks: 1 }), readPlate("FRYS083", { looks: 1 })];
  expect(readingWords({ ...none, plates: [a, b] }, "plate")).toBe(
    "The photo seems to say one of these, but not surely:",
  );
  expect(readingWords({ ...none, plates: [a] }, "plate")).toMatch(/but not surely/);
  expect(readingWords({ ...none, vins: [readVin(VIN, { looks: 1 })] }, "vin")).toMatch(/but not surely/);
  expect(readingWords(none, "plate")).toMatch(/No plate was found/);
});

it("asks for the characters that were not read surely, one by one, before it takes a VIN", async () => {
  const unsure = [
    { position: 13, choices: ["3", "8"] },
    { position: 17, choices: ["5", "S"] },
  ];
  read.mockResolvedValue({ ...none, vins: [readVin(VIN, { looks: 1, unsure })] });
  show(<ScanField wanted="vin" onReading={onReading} onFound={onFound} />);
  await photograph();
  expect(await screen.findByText("✕ Not sure of character 13, 17")).toBeTruthy();
  fireEvent.press(screen.getByRole("button", { name: VIN }));
  expect(onFound).not.toHaveBeenCalled();
  fireEvent.press(screen.getByRole("radio", { name: "8" }));
  fireEvent.press(screen.getByTestId("asked-done"));
  expect(onFound).not.toHaveBeenCalled();
  fireEvent.press(screen.getByRole("radio", { name: "5" }));
  fireEvent.press(screen.getByTestId("asked-done"));
  expect(onFound).toHaveBeenCalledWith(`${VIN.slice(0, 12)}8${VIN.slice(13)}`);
});

it("tells that another look is begun, so that what was found before no longer stands", async () => {
  read.mockResolvedValue(none);
  show(<ScanField wanted="vin" onReading={onReading} onFound={onFound} />);
  await photograph();
  expect(onReading).toHaveBeenCalled();
  expect(await screen.findByText(/No VIN was found/)).toBeTruthy();
});
