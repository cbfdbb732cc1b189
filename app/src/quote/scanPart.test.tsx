import { act, fireEvent, screen } from "@testing-library/react-native";
import type { StockItem } from "@mechanon/core";
import { readCodes } from "../scan/pictureClient";
import { show } from "../testing/harness";
import { LIBRARY_SAMPLE } from "../testing/samples";
import { ScanPart } from "./ScanPart";

jest.mock("../scan/pictureClient");
const read = jest.mocked(readCodes);
const ITEM: StockItem = {
  ...{ id: "s", personId: "me", title: "Coolant", brand: null, partNumber: null, codes: ["0760155501104"] },
  ...{ partKind: "fluid", costCents: 1240, priceCents: null, count: 4 },
};
const onFound = jest.fn();
const onUnknown = jest.fn();
const pictures = globalThis as { createImageBitmap?: unknown };

async function photograph(codes: string[] | "no picture" | "no reader"): Promise<void> {
  pictures.createImageBitmap = () => (codes === "no picture" ? Promise.reject(new Error("none")) : Promise.resolve({}));
  if (typeof codes === "string") read.mockRejectedValue(new Error("no worker"));
  else read.mockResolvedValue(codes.map((text) => ({ text, format: "EAN13" }) as never));
  show(<ScanPart stock={[ITEM]} library={LIBRARY_SAMPLE} onFound={onFound} onUnknown={onUnknown} />);
  await act(async () => {
    fireEvent(screen.UNSAFE_getByProps({ type: "file" }), "change", {
      target: { files: [new Blob(["x"])], value: "x" },
    });
    await Promise.resolve();
  });
}
beforeEach(() => {
  onFound.mockClear();
  onUnknown.mockClear();
});
afterAll(() => delete pictures.createImageBitmap);

it.each([
  ["of the van, by its barcode", ["0760155501104"], { from: "van", item: ITEM }],
  ["of the library, by its number", ["other", "sd 22"], { from: "library", libraryJobId: "wipers" }],
])("finds a part %s", async (_name, codes, choice) => {
  await photograph(codes);
  expect(onFound).toHaveBeenCalledWith(expect.objectContaining(choice));
  expect(onUnknown).not.toHaveBeenCalled();
});

it("says of a code nobody knows that it is kept with what is typed", async () => {
  await photograph(["4006381333931"]);
  expect(screen.getByText(/Nobody knows the code 4006381333931/)).toBeTruthy();
  expect(onUnknown).toHaveBeenCalledWith("4006381333931");
  expect(onFound).not.toHaveBeenCalled();
});

it.each<[string, string[] | "no picture" | "no reader", RegExp]>([
  ["shows no code", [], /No barcode was found/],
  ["is none", "no picture", /no picture\. Nothing was added/],
  ["cannot be read here", "no reader", /could not be read here/],
])("says of a photo that it %s, and adds nothing", async (_name, codes, words) => {
  await photograph(codes);
  expect(screen.getByText(words)).toBeTruthy();
  expect([onFound.mock.calls, onUnknown.mock.calls]).toEqual([[], []]);
});
