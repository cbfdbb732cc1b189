import { useState } from "react";
import { StyleSheet, View } from "react-native";
import { v7 as uuid } from "uuid";
import { pointById, showDate, standingUnsafe, type Signature } from "@mechanon/core";
import type { WorkOrderView } from "@mechanon/contract";
import { SignatureField } from "../answer/SignatureField";
import { PhotoButton } from "../photos/PhotoButton";
import type { Business } from "../session/useSession";
import { sendCommand } from "../sync/give";
import { attachPhoto } from "../sync/photoActs";
import { Button } from "../ui/Button";
import { Choices } from "../ui/Choices";
import { useColors } from "../ui/face";
import { Field } from "../ui/Field";
import { OctagonX } from "../ui/icons";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";

interface UnsafePartProps {
  view: WorkOrderView;
  business: Business;
}

/** What is not safe to drive: told in plain words and signed or witnessed; it stands until it is mended. */
export function UnsafePart({ view, business }: UnsafePartProps) {
  const colors = useColors();
  const [isTelling, setTelling] = useState(false);
  const { state } = view;
  const standing = standingUnsafe(state);
  if (standing.length === 0) return null;
  const titleOf = (pointId: string): string =>
    pointById(pointId, state, business.settings.inspection)?.title ?? pointId;
  const untold = standing.filter(({ isTold }) => !isTold).map(({ finding }) => finding.pointId);
  return (
    <View style={[styles.part, { borderColor: colors.alarm }]} role="group" aria-label="Not safe to drive">
      <View style={styles.row}>
        <OctagonX size={24} color={colors.alarm} />
        <Words strong tone="alarm">
          Not safe to drive
        </Words>
      </View>
      {standing.map(({ finding: { pointId }, isTold, isDeclined }) => {
        const told = state.unsafeTold.filter(({ pointIds }) => pointIds.includes(pointId)).at(-1);
        return (
          <View key={pointId}>
            <Words strong>{titleOf(pointId)}</Words>
            <Words size="small" tone={isTold ? "muted" : "alarm"}>
              {[
                told
                  ? `${told.name} was told ${showDate(told.at, business.timeZone)}, ${told.way}`
                  : "Nobody was told yet",
                isDeclined ? "they do not want it mended now" : "",
              ]
                .filter(Boolean)
                .join("; ")}
            </Words>
            <Mended pointId={pointId} title={titleOf(pointId)} workOrderId={state.id} />
          </View>
        );
      })}
      {isTelling ? (
        <Tell view={view} titles={untold.map(titleOf)} pointIds={untold} onDone={() => setTelling(false)} />
      ) : untold.length > 0 ? (
        <Button label="Tell them, and have it signed" onPress={() => setTelling(true)} testID="tell-unsafe" />
      ) : null}
    </View>
  );
}

const WAYS = [
  { value: "signed", label: "They sign" },
  { value: "witnessed", label: "They will not sign" },
] as const;

function Tell({
  view: { state, customer },
  titles,
  pointIds,
  onDone,
}: {
  view: WorkOrderView;
  titles: string[];
  pointIds: string[];
  onDone: () => void;
}) {
  const [name, setName] = useState(customer?.name ?? "");
  const [way, setWay] = useState<"signed" | "witnessed">("signed");
  const [witness, setWitness] = useState("");
  const [strokes, setStrokes] = useState<Signature>([]);
  const isReady = name.trim() !== "" && (way === "signed" ? strokes.length > 0 : witness.trim() !== "");
  return (
    <View style={styles.list}>
      <Words strong>{`${titles.join(", ")}: with this the car is not safe to drive. I was told so today.`}</Words>
      <Field label="Who was told" value={name} onChangeText={setName} maxLength={120} autoComplete="off" />
      <Choices label="How it is kept" options={WAYS} value={way} onChoose={setWay} even />
      {way === "signed" ? (
        <SignatureField onChange={setStrokes} />
      ) : (
        <>
          <Field label="Who was there" value={witness} onChangeText={setWitness} maxLength={120} autoComplete="off" />
          <PhotoButton
            label="Photo of it"
            of="what is not safe"
            testID="photo-unsafe"
            onTake={async (photo) => {
              await attachPhoto(state.id, { of: "point", id: pointIds[0] ?? "" }, photo);
            }}
          />
        </>
      )}
      <Button
        label="Keep that they were told"
        disabled={!isReady}
        onPress={() => {
          sendCommand(state.id, {
            type: "tellUnsafe",
            id: uuid(),
            pointIds,
            name: name.trim(),
            way,
            witness: way === "witnessed" ? witness.trim() : "",
            signature: way === "signed" ? strokes : [],
          });
          onDone();
        }}
        testID="keep-told"
      />
      <Button kind="quiet" label="Not now" onPress={onDone} />
    </View>
  );
}

const HOW = ["Mended elsewhere, seen today", "Mended by us, on another order", "Graded by mistake"];

/** Nothing clears it silently: a person says how it was mended. */
function Mended({ pointId, title, workOrderId }: { pointId: string; title: string; workOrderId: string }) {
  const [isOpen, setOpen] = useState(false);
  if (!isOpen)
    return <Button kind="quiet" label="It is mended" spoken={`It is mended: ${title}`} onPress={() => setOpen(true)} />;
  return (
    <Choices
      label={`How ${title} was mended`}
      options={HOW.map((value) => ({ value, label: value }))}
      value={null}
      onChoose={(how) => sendCommand(workOrderId, { type: "mendFinding", pointId, how })}
    />
  );
}

const styles = StyleSheet.create({
  part: { borderWidth: 2, borderRadius: 4, padding: SPACE.m, gap: SPACE.s },
  row: { flexDirection: "row", gap: SPACE.s, alignItems: "center" },
  list: { gap: SPACE.s },
});
