import { useRef, useState } from "react";
import { StyleSheet, View, type GestureResponderEvent } from "react-native";
import Svg, { Circle, Ellipse, Path, Text as SvgText } from "react-native-svg";
import { v7 as uuid } from "uuid";
import {
  BODY_TYPES,
  BODY_TYPE_TITLES,
  MARK_KINDS,
  bodyTypeOf,
  countOf,
  type DamageMark,
  type Signature,
} from "@mechanon/core";
import type { WorkOrderView } from "@mechanon/contract";
import { SignatureField } from "../answer/SignatureField";
import { PicturesOf } from "../photos/PicturesOf";
import { sendCommand } from "../sync/give";
import { Button } from "../ui/Button";
import { Choices } from "../ui/Choices";
import { useColors } from "../ui/face";
import { Field } from "../ui/Field";
import { Press } from "../ui/Press";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import { BODY_OUTLINES } from "./bodyOutlines";
import { MARK_WORDS } from "./arrivalWords";
import { placeOnDrawing } from "./placeOnDrawing";

/** Damage that was there before, marked on the outline of the body, with photos, and signed where wanted. */
export function WalkRound({ view }: { view: WorkOrderView }) {
  const { state, vehicle } = view;
  const [isOpen, setOpen] = useState(false);
  const [openId, setOpenId] = useState<string | null>(null);
  const [picked, setPicked] = useState<(typeof BODY_TYPES)[number] | null>(null);
  const [isSigning, setSigning] = useState(false);
  const bodyType =
    picked ?? state.walkRound?.bodyType ?? bodyTypeOf([vehicle?.model, vehicle?.trim].filter(Boolean).join(" "));
  const open = state.marks.find(({ id }) => id === openId);
  const add = (x: number, y: number): void => {
    const id = uuid();
    sendCommand(state.id, { type: "addMark", id, x, y, kind: "scratch", note: "" });
    setOpenId(id);
  };
  const finish = (signed: { name: string; strokes: Signature } | null): void => {
    sendCommand(state.id, { type: "finishWalkRound", bodyType, signed });
    setSigning(false);
    setOpen(false);
  };
  if (!isOpen)
    return (
      <View style={styles.row}>
        <Button
          label={state.walkRound ? "Look at the walk-round" : "Walk around it"}
          onPress={() => setOpen(true)}
          testID="walk-round"
        />
        <Words size="small" tone="muted" style={styles.grow}>
          {state.marks.length === 0
            ? state.walkRound
              ? "No damage of before"
              : "Marks damage that was there before"
            : `${countOf(state.marks.length, "mark")}${state.walkRound?.signed ? `, signed by ${state.walkRound.signed.name}` : ""}`}
        </Words>
      </View>
    );
  return (
    <View style={styles.list} role="group" aria-label="Walk-round">
      <Choices
        label="Body"
        options={BODY_TYPES.map((value) => ({ value, label: BODY_TYPE_TITLES[value] }))}
        value={bodyType}
        onChoose={setPicked}
      />
      <Drawing bodyType={bodyType} marks={state.marks} openId={openId} onAdd={add} onOpen={setOpenId} />
      <Words size="small" tone="muted">
        Its front is to the left. Touch where the damage is.
      </Words>
      {open ? <Mark key={open.id} mark={open} view={view} onClose={() => setOpenId(null)} /> : null}
      {isSigning ? (
        <Sign name={view.customer?.name ?? ""} onSigned={finish} onBack={() => setSigning(false)} />
      ) : (
        <View style={styles.row}>
          <Button
            label={state.marks.length === 0 ? "No damage of before" : "Done"}
            onPress={() => finish(null)}
            testID="walk-round-done"
          />
          <Button kind="quiet" label="Have it signed" onPress={() => setSigning(true)} />
        </View>
      )}
    </View>
  );
}

interface DrawingProps {
  bodyType: (typeof BODY_TYPES)[number];
  marks: readonly DamageMark[];
  openId: string | null;
  onAdd: (x: number, y: number) => void;
  onOpen: (id: string) => void;
}

function Drawing({ bodyType, marks, openId, onAdd, onOpen }: DrawingProps) {
  const colors = useColors();
  const box = useRef<View>(null);
  const outline = BODY_OUTLINES[bodyType];
  const touch = ({ nativeEvent }: GestureResponderEvent): void => {
    const at = placeOnDrawing(box.current, nativeEvent);
    if (!at) return;
    const near = marks.find(({ x, y }) => Math.hypot(x - at.x, y - at.y) < 45);
    if (near) onOpen(near.id);
    else onAdd(at.x, at.y);
  };
  return (
    <View ref={box} style={styles.drawing}>
      <Press label={`Outline of the car, ${countOf(marks.length, "mark")}`} onPress={touch} testID="outline">
        <Svg width="100%" height="100%" viewBox="0 230 1000 540">
          {outline.wheels.map(([x, y]) => (
            <Ellipse key={`${x} ${y}`} cx={x} cy={y} rx={58} ry={24} fill={colors.muted} />
          ))}
          <Path d={outline.body} fill={colors.inset} stroke={colors.ink} strokeWidth={6} />
          {outline.lines.map((line) => (
            <Path key={line} d={line} fill="none" stroke={colors.ink} strokeWidth={4} />
          ))}
          {marks.map(({ id, x, y }) => (
            <Circle key={id} cx={x} cy={y} r={26} fill={id === openId ? colors.petrol : colors.alarm} />
          ))}
          {marks.map(({ id, x, y }, place) => (
            <SvgText key={id} x={x} y={y + 11} fontSize={30} textAnchor="middle" fill={colors.paper}>
              {String(place + 1)}
            </SvgText>
          ))}
        </Svg>
      </Press>
    </View>
  );
}

function Mark({ mark, view, onClose }: { mark: DamageMark; view: WorkOrderView; onClose: () => void }) {
  const { state } = view;
  const [note, setNote] = useState(mark.note);
  const change = (over: Partial<DamageMark>): void =>
    sendCommand(state.id, {
      type: "addMark",
      id: mark.id,
      x: mark.x,
      y: mark.y,
      kind: mark.kind,
      note: mark.note,
      ...over,
    });
  const number = state.marks.findIndex(({ id }) => id === mark.id) + 1;
  return (
    <View style={styles.list} role="group" aria-label={`Mark ${number}`}>
      <Choices
        label={`Mark ${number}`}
        options={MARK_KINDS.map((value) => ({ value, label: MARK_WORDS[value] }))}
        value={mark.kind}
        onChoose={(kind) => change({ kind })}
      />
      <Field
        label="In own words"
        value={note}
        onChangeText={setNote}
        onBlur={() => {
          if (note !== mark.note) change({ note: note.trim() });
        }}
        maxLength={200}
      />
      <PicturesOf of="mark" id={mark.id} title={`Mark ${number}`} label="Photo" view={view} />
      <View style={styles.row}>
        <Button label="Next one" onPress={onClose} />
        {state.walkRound?.signed ? null : (
          <Button
            kind="quiet"
            label="Take the mark off"
            onPress={() => {
              sendCommand(state.id, { type: "removeMark", id: mark.id });
              onClose();
            }}
          />
        )}
      </View>
    </View>
  );
}

function Sign({
  name: usual,
  onSigned,
  onBack,
}: {
  name: string;
  onSigned: (signed: { name: string; strokes: Signature }) => void;
  onBack: () => void;
}) {
  const [name, setName] = useState(usual);
  const [strokes, setStrokes] = useState<Signature>([]);
  return (
    <View style={styles.list}>
      <Words>This damage was there before the work began.</Words>
      <Field label="Name" value={name} onChangeText={setName} maxLength={120} autoComplete="off" />
      <SignatureField onChange={setStrokes} />
      <View style={styles.row}>
        <Button
          label="Keep the signature"
          disabled={name.trim() === "" || strokes.length === 0}
          onPress={() => onSigned({ name: name.trim(), strokes })}
        />
        <Button kind="quiet" label="Back" onPress={onBack} />
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  list: { gap: SPACE.s },
  row: { flexDirection: "row", flexWrap: "wrap", gap: SPACE.s, alignItems: "center" },
  grow: { flex: 1, minWidth: 140 },
  drawing: { width: "100%", maxWidth: 520, aspectRatio: 1000 / 540 },
});
