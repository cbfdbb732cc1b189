import SignaturePad from "signature_pad";
import { createElement, useEffect, useRef } from "react";
import { StyleSheet, View } from "react-native";
import type { Signature } from "@mechanon/core";
import { Button } from "../ui/Button";
import { useColors } from "../ui/face";
import { toStrokes } from "./strokes";

const HEIGHT = 170;

/** Signing with a finger; gives the strokes, empty when wiped. */
export function SignatureField({
  label = "Sign here with a finger",
  wipe: wipeWords = "Wipe and sign again",
  onChange,
}: {
  label?: string;
  wipe?: string;
  onChange: (strokes: Signature) => void;
}) {
  const colors = useColors();
  const canvas = useRef<HTMLCanvasElement>(null);
  const pad = useRef<SignaturePad | null>(null);
  const report = useRef(onChange);
  useEffect(() => {
    report.current = onChange;
  });
  useEffect(() => {
    const element = canvas.current;
    if (!element) return;
    const fit = (): void => {
      // Drawn at the screen's own resolution; a resize would otherwise blur or wipe it.
      const kept = pad.current?.toData() ?? [];
      const ratio = Math.max(1, window.devicePixelRatio);
      element.width = element.offsetWidth * ratio;
      element.height = element.offsetHeight * ratio;
      element.getContext("2d")?.scale(ratio, ratio);
      pad.current?.fromData(kept);
    };
    const made = new SignaturePad(element, { penColor: colors.ink, minWidth: 1.2, maxWidth: 2.6 });
    pad.current = made;
    fit();
    made.addEventListener("endStroke", () =>
      report.current(toStrokes(made.toData(), element.offsetWidth, element.offsetHeight)),
    );
    window.addEventListener("resize", fit);
    return () => {
      window.removeEventListener("resize", fit);
      made.off();
    };
  }, [colors.ink]);
  const wipe = (): void => {
    pad.current?.clear();
    onChange([]);
  };
  return (
    <View>
      <View style={[styles.field, { borderColor: colors.ink, backgroundColor: colors.paper }]}>
        {createElement("canvas", {
          ref: canvas,
          className: "signature-canvas",
          role: "img",
          "aria-label": label,
          "data-testid": "signature",
        })}
      </View>
      <Button kind="quiet" label={wipeWords} onPress={wipe} style={styles.wipe} />
    </View>
  );
}

const styles = StyleSheet.create({
  field: { height: HEIGHT, borderWidth: 1.5, borderRadius: 4 },
  wipe: { alignSelf: "flex-start" },
});
