import { createElement, useEffect, useRef, useState, type ChangeEvent } from "react";
import { StyleSheet, View } from "react-native";
import type { Sighting } from "@mechanon/core/vin";
import { Button } from "../ui/Button";
import { Camera, Search } from "../ui/icons";
import { Notice } from "../ui/Notice";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import { LiveCamera } from "./LiveCamera";
import { readPhoto, type PhotoReading, type PhotoStep } from "./readPhoto";
import { plateDoubt, readingWords, stepWords } from "./scanWords";
import { SeenChoice } from "./SeenChoice";

export interface ScanFieldProps {
  wanted: "vin" | "plate";
  /** The state whose plates one reads like. */
  region?: string;
  /** Another photo is taken, or another look begun: what was read before no longer stands. */
  onReading: () => void;
  /** Somebody said that this is what the photo shows. */
  onFound: (text: string) => void;
}

/** Reads a VIN or a plate from a photo, or a VIN's code from the camera; a person always confirms what was read. */
export function ScanField({ wanted, region = "", onReading, onFound }: ScanFieldProps) {
  const input = useRef<HTMLInputElement>(null);
  const stop = useRef<AbortController | null>(null);
  const [step, setStep] = useState<PhotoStep | null>(null);
  const [reading, setReading] = useState<PhotoReading | "no picture" | "failed" | null>(null);
  const [isLive, setLive] = useState(false);
  useEffect(() => () => stop.current?.abort(), []);

  const read = async (event: ChangeEvent<HTMLInputElement>): Promise<void> => {
    const file = event.target.files?.[0];
    event.target.value = "";
    if (!file) return;
    const controller = new AbortController();
    stop.current = controller;
    setReading(null);
    onReading();
    try {
      setReading(
        (await readPhoto(
          file,
          wanted === "vin" ? { what: "vin" } : { what: "plate", region },
          setStep,
          controller.signal,
        )) ?? "no picture",
      );
    } catch {
      if (!controller.signal.aborted) setReading("failed");
    }
    setStep(null);
  };
  const choose = (text: string): void => {
    setReading(null);
    setLive(false);
    onFound(text);
  };
  const found = reading !== null && typeof reading === "object" ? reading : null;
  const choices: readonly Sighting[] = found ? (wanted === "vin" ? found.vins : found.plates) : [];
  return (
    <View style={styles.list}>
      <View style={styles.row}>
        {wanted === "vin" ? (
          <Button icon={Search} label="Scan its code" onPress={() => setLive(!isLive)} testID="scan-live" />
        ) : null}
        <Button
          icon={Camera}
          label={wanted === "vin" ? "Photo of the VIN" : "Photo of the plate"}
          onPress={() => input.current?.click()}
        />
      </View>
      {createElement("input", {
        ref: input,
        type: "file",
        accept: "image/*",
        capture: "environment",
        "aria-label": wanted === "vin" ? "Photo of the VIN" : "Photo of the plate",
        "data-testid": `scan-${wanted}`,
        style: { display: "none" },
        onChange: (event: ChangeEvent<HTMLInputElement>) => void read(event),
      })}
      {isLive ? <LiveCamera onFound={choose} onClose={() => setLive(false)} /> : null}
      {step === null ? null : (
        <>
          <Words role="status">{`${stepWords(step)}…`}</Words>
          <Button kind="quiet" label="Stop reading" onPress={() => stop.current?.abort()} />
        </>
      )}
      {reading === null ? null : (
        <Notice kind={choices.length > 0 ? "note" : "fault"} text={readingWords(reading, wanted)} />
      )}
      {choices.map((seen) => (
        <SeenChoice key={seen.text} seen={seen} doubt={plateDoubt(seen, region)} onChoose={choose} />
      ))}
      {choices.length > 0 ? (
        <Words size="small" tone="muted">
          Compare it with the car before you press it.
        </Words>
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  list: { gap: SPACE.s },
  row: { flexDirection: "row", flexWrap: "wrap", gap: SPACE.s },
});
