import Konva from "konva";
import { createElement, useEffect, useRef, useState } from "react";
import { StyleSheet, View } from "react-native";
import { Button } from "../ui/Button";
import { Choices } from "../ui/Choices";
import { Field } from "../ui/Field";
import { Undo2 } from "../ui/icons";
import { FONT, SPACE } from "../ui/theme";
import { arrowOf, circleOf, type DrawnPoint } from "./drawnShapes";

interface DrawOnPhotoProps {
  uri: string;
  title: string;
  onKeep: (drawn: Blob) => Promise<void>;
  onBack: () => void;
}

const TOOLS = [
  { value: "arrow", label: "Arrow" },
  { value: "circle", label: "Circle" },
  { value: "word", label: "Word" },
] as const;
type Tool = (typeof TOOLS)[number]["value"];

/** Seen on any photo: a light line in a dark one. */
const INK = "#ffd60a";
const EDGE = "#17150e";
const LINE = 7;
const JPEG_QUALITY = 0.85;

/** Draws an arrow, a circle or a word on a photo; what was drawn last is taken back first. */
export function DrawOnPhoto({ uri, title, onKeep, onBack }: DrawOnPhotoProps) {
  const box = useRef<HTMLDivElement>(null);
  const stage = useRef<Konva.Stage | null>(null);
  const shapes = useRef<Konva.Layer | null>(null);
  const size = useRef({ scale: 1 });
  const [tool, setTool] = useState<Tool>("arrow");
  const [word, setWord] = useState("");
  const [count, setCount] = useState(0);
  const chosen = useRef({ tool, word });
  useEffect(() => {
    chosen.current = { tool, word };
  });
  useEffect(() => {
    const place = box.current;
    if (!place) return;
    const image = new window.Image();
    image.onload = () => {
      const scale = Math.min(place.offsetWidth / image.width, place.offsetHeight / image.height);
      const [width, height] = [image.width * scale, image.height * scale];
      const made = new Konva.Stage({ container: place, width, height });
      const below = new Konva.Layer({ listening: false });
      below.add(new Konva.Image({ image, width, height }));
      const layer = new Konva.Layer();
      made.add(below, layer);
      stage.current = made;
      shapes.current = layer;
      size.current = { scale };
      listen(made, layer, () => chosen.current, setCount);
    };
    image.src = uri;
    return () => {
      stage.current?.destroy();
      stage.current = null;
    };
  }, [uri]);
  const undo = (): void => {
    shapes.current?.getChildren().at(-1)?.destroy();
    setCount(shapes.current?.getChildren().length ?? 0);
  };
  const keep = async (): Promise<void> => {
    const drawn = await stage.current?.toBlob({
      mimeType: "image/jpeg",
      quality: JPEG_QUALITY,
      pixelRatio: 1 / size.current.scale,
    });
    if (drawn instanceof Blob) await onKeep(drawn);
  };
  return (
    <View style={styles.screen}>
      {createElement("div", {
        ref: box,
        role: "img",
        "aria-label": `Draw on ${title}`,
        "data-testid": "drawing",
        style: { flex: 1, minHeight: 0, touchAction: "none", display: "grid", placeItems: "center" },
      })}
      <View style={styles.foot}>
        <Choices label="What to draw" options={TOOLS} value={tool} onChoose={setTool} even />
        {tool === "word" ? (
          <Field label="The word" value={word} onChangeText={setWord} maxLength={30} hint="Then touch where it goes" />
        ) : null}
        <View style={styles.row}>
          <Button icon={Undo2} kind="quiet" label="Undo" disabled={count === 0} onPress={undo} />
          <Button kind="quiet" label="Back" onPress={onBack} />
        </View>
        <Button
          kind="next"
          label="Keep the drawing"
          disabled={count === 0}
          onPress={() => void keep()}
          testID="keep-drawing"
        />
      </View>
    </View>
  );
}

function listen(
  stage: Konva.Stage,
  layer: Konva.Layer,
  chosen: () => { tool: Tool; word: string },
  tell: (count: number) => void,
): void {
  let from: DrawnPoint | null = null;
  let shape: Konva.Shape | null = null;
  const style = { stroke: INK, strokeWidth: LINE, fill: INK, shadowColor: EDGE, shadowBlur: 3, shadowOpacity: 0.9 };
  stage.on("pointerdown", () => {
    from = stage.getPointerPosition();
    const { tool, word } = chosen();
    if (!from) return;
    if (tool === "word") {
      if (word.trim() === "") return;
      layer.add(
        new Konva.Text({
          ...from,
          text: word.trim(),
          fontSize: 26,
          fontStyle: "bold",
          fontFamily: FONT.strong,
          fill: INK,
          stroke: EDGE,
          strokeWidth: 4,
          fillAfterStrokeEnabled: true,
        }),
      );
      from = null;
      return tell(layer.getChildren().length);
    }
    shape =
      tool === "arrow"
        ? new Konva.Arrow({ ...style, points: [from.x, from.y, from.x, from.y], pointerLength: 20, pointerWidth: 20 })
        : new Konva.Ellipse({ ...style, ...circleOf(from, from), fill: undefined });
    layer.add(shape);
  });
  stage.on("pointermove", () => {
    const to = stage.getPointerPosition();
    if (!from || !to) return;
    if (shape instanceof Konva.Arrow) shape.points(arrowOf(from, to));
    else shape?.setAttrs(circleOf(from, to));
  });
  stage.on("pointerup pointerleave", () => {
    from = null;
    shape = null;
    tell(layer.getChildren().length);
  });
}

const styles = StyleSheet.create({
  screen: { flex: 1 },
  foot: { padding: SPACE.l, gap: SPACE.s },
  row: { flexDirection: "row", gap: SPACE.l },
});
