import { createElement, useRef, useState, type ChangeEvent } from "react";
import { isSameNumber, stockByCode, type LibraryJob, type StockItem } from "@mechanon/core";
import { readCodes } from "../scan/pictureClient";
import { Button } from "../ui/Button";
import { Camera } from "../ui/icons";
import { Notice } from "../ui/Notice";
import { Words } from "../ui/Words";
import type { PartChoice } from "./partChoices";

interface ScanPartProps {
  stock: readonly StockItem[];
  library: readonly LibraryJob[];
  onFound: (choice: PartChoice) => void;
  /** A code nobody knows: what it is, is typed. */
  onUnknown: (code: string) => void;
}

/** Reads the barcode of a part from a photo, and finds the part by it. */
export function ScanPart({ stock, library, onFound, onUnknown }: ScanPartProps) {
  const input = useRef<HTMLInputElement>(null);
  const [isReading, setReading] = useState(false);
  const [said, setSaid] = useState<string | null>(null);
  const read = async (event: ChangeEvent<HTMLInputElement>): Promise<void> => {
    const file = event.target.files?.[0];
    event.target.value = "";
    if (!file) return;
    setReading(true);
    setSaid(null);
    const picture = await createImageBitmap(file).catch(() => null);
    const codes = picture ? await readCodes(picture, "thorough").catch(() => null) : [];
    setReading(false);
    if (!picture) return setSaid("That file is no picture. Nothing was added; take a photo of the barcode.");
    if (codes === null) return setSaid("The code could not be read here. Nothing was added; type the part.");
    const [first] = codes;
    if (!first) return setSaid("No barcode was found in the photo. Hold it closer and straight, or type the part.");
    const known = codes.map(({ text }) => partByCode(text, stock, library)).find((choice) => choice !== null);
    if (known) return onFound(known);
    setSaid(`Nobody knows the code ${first.text}. Type what it is; the code is kept with it.`);
    onUnknown(first.text);
  };
  return (
    <>
      <Button icon={Camera} label="Scan its barcode" busy={isReading} onPress={() => input.current?.click()} />
      {createElement("input", {
        ref: input,
        type: "file",
        accept: "image/*",
        capture: "environment",
        "aria-label": "Photo of the barcode",
        "data-testid": "scan-part",
        style: { display: "none" },
        onChange: (event: ChangeEvent<HTMLInputElement>) => void read(event),
      })}
      {isReading ? <Words role="status">Reading the code…</Words> : null}
      {said ? <Notice kind="note" text={said} /> : null}
    </>
  );
}

/** The part a code is of: on the van, or of that number among those kept ready; null: nobody knows it. */
export function partByCode(
  code: string,
  stock: readonly StockItem[],
  library: readonly LibraryJob[],
): PartChoice | null {
  const item = stockByCode(stock, code);
  if (item) return { key: item.id, title: item.title, why: "By its barcode", from: "van", item };
  for (const job of library)
    for (const line of job.lines)
      if (line.kind === "part" && isSameNumber(line.partNumber, code))
        return {
          ...{ key: line.id, title: line.description, why: "By its number", from: "library" },
          ...{ libraryJobId: job.id, libraryLineId: line.id },
        };
  return null;
}
