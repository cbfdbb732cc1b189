import { useRouter } from "expo-router";
import { useEffect, useMemo, useRef, useState, type ReactNode } from "react";
import { StyleSheet, View } from "react-native";
import {
  appliesTo,
  countOf,
  openPoints,
  pointPhotos,
  showCustomer,
  showVehicle,
  type Finding,
  type InspectionPoint,
} from "@mechanon/core";
import type { WorkOrderView } from "@mechanon/contract";
import { useToday } from "../day/useDay";
import type { Business } from "../session/useSession";
import { SyncLine } from "../sync/SyncLine";
import { Button } from "../ui/Button";
import { Choices } from "../ui/Choices";
import { useColors } from "../ui/face";
import { Heading } from "../ui/Heading";
import { ArrowLeft } from "../ui/icons";
import { Screen } from "../ui/Screen";
import { keepInSight } from "../ui/scrollIntoView";
import { SPACE } from "../ui/theme";
import { useIsWide } from "../ui/useIsWide";
import { Words } from "../ui/Words";
import { ActivePoint } from "./ActivePoint";
import { CloseSheet } from "./CloseSheet";
import { ConcernsPart } from "./ConcernsPart";
import { OtherSheets } from "./OtherSheets";
import { PointDetail } from "./PointDetail";
import { PointList } from "./PointList";
import { useCheck } from "./useCheck";
import { useCheckKeys } from "./useCheckKeys";
import { useSheetsHere } from "./useSheetsHere";
import { whoChecks } from "./whoChecks";

interface CheckSheetProps {
  view: WorkOrderView;
  business: Business;
  /** Since when what is shown stands; null: it is the newest. */
  asOf: string | null;
}

/** A sheet as it is run: concerns, then its points by area, the next one under the thumb by itself. */
export function CheckSheet({ view, business, asOf }: CheckSheetProps) {
  const router = useRouter();
  const isWide = useIsWide();
  const today = useToday();
  const { state } = view;
  const { sheets, facts } = useSheetsHere(view, business);
  const [pickedSheet, setPickedSheet] = useState<string | null>(null);
  const running = sheets.filter(({ closedAt }) => closedAt === null);
  const sheet = sheets.find(({ sheetId }) => sheetId === pickedSheet) ?? running[0] ?? sheets[0];
  const points = useMemo(() => (sheet?.points ?? []).filter((point) => appliesTo(point, facts)), [sheet, facts]);
  const photosOf = pointPhotos(state);
  const findings = useMemo(() => new Map(state.findings.map((each) => [each.pointId, each])), [state.findings]);
  const open = sheet?.closedAt === null ? openPoints(points, state.findings, photosOf) : [];
  const check = useCheck(view, sheet, points, open);
  useCheckKeys(check, findings);
  const { active } = check;
  const [isClosing, setClosing] = useState(false);
  const on = { specs: facts.specs, today };
  const activeId = active?.id;
  const isFirst = useRef(true);
  useEffect(() => {
    // The next point comes under the thumb by itself; the sheet itself opens with why they called.
    if (activeId !== undefined && !isFirst.current) keepInSight(`point-${activeId}`);
    isFirst.current = false;
  }, [activeId]);
  const note = (point: InspectionPoint, finding: Finding | undefined) => (words: string) =>
    check.grade(point, { grade: finding?.grade ?? "watch", note: words }, false);
  const detail = active ? (
    <PointDetail
      key={active.id}
      point={active}
      finding={findings.get(active.id)}
      view={view}
      business={business}
      on={on}
      onNote={note(active, findings.get(active.id))}
    />
  ) : null;
  const isDone = open.length === 0;
  // Where nothing is left to look at, closing is what comes next; a point that was picked stays under the thumb.
  const closes = sheet?.closedAt === null && (isClosing || (isDone && !check.isPicked));
  const foot = (
    <>
      {closes && sheet ? (
        <CloseSheet
          view={view}
          sheet={sheet}
          open={open}
          onDone={() => router.navigate(`/work/${state.id}`)}
          undo={check.undo}
          onBack={isClosing ? () => setClosing(false) : null}
        />
      ) : active && sheet?.closedAt === null ? (
        <ActivePoint
          point={active}
          finding={findings.get(active.id)}
          view={view}
          on={on}
          check={check}
          isLast={isDone || (open.length === 1 && open[0]?.id === active.id)}
        />
      ) : null}
      <SyncLine asOf={asOf} />
    </>
  );
  return (
    <View style={styles.columns}>
      <Screen title={`Check ${showVehicle(view.vehicle)}`} foot={foot}>
        <View style={styles.head}>
          <Button
            kind="quiet"
            icon={ArrowLeft}
            label={`${showCustomer(view.customer)} · ${showVehicle(view.vehicle)}`}
            testID="check-back"
            onPress={() => router.navigate(`/work/${state.id}`)}
          />
          {sheets.length > 1 ? (
            <Choices
              label="Sheets"
              options={sheets.map(({ sheetId, title }) => ({ value: sheetId, label: title }))}
              value={sheet?.sheetId ?? null}
              onChoose={setPickedSheet}
            />
          ) : null}
          <View style={styles.progress}>
            <Heading level={1}>{sheet?.title ?? "No sheet"}</Heading>
            <Words figures tone="muted" testID="progress">
              {sheet?.closedAt ? "Closed" : `${points.length - open.length} of ${countOf(points.length, "point")}`}
            </Words>
          </View>
          <Words size="small" tone="muted">
            {whoChecks(points, state.findings, business, today)}
          </Words>
        </View>
        <ConcernsPart view={view} business={business} />
        <PointList
          points={points}
          findings={state.findings}
          photosOf={photosOf}
          isOpen={sheet?.closedAt === null}
          activeId={activeId}
          onPick={check.pick}
          onRest={check.rest}
          detail={isWide ? null : detail}
        />
        <OtherSheets
          view={view}
          business={business}
          sheet={sheet}
          onTaken={setPickedSheet}
          onClose={() => setClosing(true)}
        />
      </Screen>
      {isWide ? <Beside title={active?.title ?? "All graded"}>{detail}</Beside> : null}
    </View>
  );
}

function Beside({ title, children }: { title: string; children: ReactNode }) {
  const colors = useColors();
  return (
    <View style={[styles.beside, { borderColor: colors.hairline }]} role="complementary" aria-label="The point at hand">
      <Heading level={2}>{title}</Heading>
      {children}
    </View>
  );
}

const styles = StyleSheet.create({
  columns: { flex: 1, flexDirection: "row" },
  head: { gap: SPACE.xs },
  progress: { flexDirection: "row", alignItems: "baseline", justifyContent: "space-between", gap: SPACE.m },
  beside: { width: 400, borderLeftWidth: 1, padding: SPACE.l, gap: SPACE.m },
});
