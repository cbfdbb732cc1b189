import { useRouter } from "expo-router";
import { StyleSheet, View } from "react-native";
import {
  countOf,
  isBad,
  openPoints,
  picturesOf,
  pointById,
  pointPhotos,
  worstFirst,
  type Finding,
  type Grade,
} from "@mechanon/core";
import { CureOffers } from "../check/CureOffers";
import { GRADE_LOOK } from "../check/gradeLook";
import { allMeasured } from "../check/measureWords";
import { RecallsPart } from "../check/RecallsPart";
import { UnsafePart } from "../check/UnsafePart";
import { sheetsHere, useSheetsHere } from "../check/useSheetsHere";
import { PhotoStrip } from "../photos/PhotoStrip";
import { Button } from "../ui/Button";
import { useColors } from "../ui/face";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import type { WorkOrderSection, WorkOrderSectionProps } from "./workOrderSection";

/** The inspection: its sheets, and what they found. */
export const checkSection: WorkOrderSection = {
  name: "check",
  title: "Check",
  acts: ["inspect"],
  line: ({ view, business, facts }) => {
    const { state } = view;
    const { points, sheets } = sheetsHere(view, business.settings, facts);
    const graded = (wanted: Grade): number => state.findings.filter(({ grade }) => grade === wanted).length;
    const isBegun = sheets.some(({ isStarted }) => isStarted) || state.findings.length > 0;
    if (!isBegun) return "Not started";
    const open = openPoints(points, state.findings, pointPhotos(state)).length;
    return [
      open > 0 ? `${open} open` : "All checked",
      graded("unsafe") > 0 ? `${graded("unsafe")} unsafe` : "",
      graded("act") > 0 ? `${graded("act")} act now` : "",
      graded("watch") > 0 ? `${graded("watch")} to watch` : "",
    ]
      .filter(Boolean)
      .join(", ");
  },
  Body: CheckSection,
};

/** What the check found, the worst first, and the way into it. */
export function CheckSection({ view, business }: WorkOrderSectionProps) {
  const router = useRouter();
  const { state } = view;
  const { sheets, open } = useSheetsHere(view, business);
  const bad = worstFirst(state.findings);
  const photosOf = pointPhotos(state);
  return (
    <View style={styles.list}>
      {sheets.map(({ sheetId, title, points, closedAt, isStarted }) => {
        const left = openPoints(points, state.findings, photosOf).filter(({ id }) =>
          open.some((each) => each.id === id),
        );
        return (
          <View key={sheetId} style={styles.sheet}>
            <Words strong>{title}</Words>
            <Words tone="muted" figures>
              {closedAt !== null ? "Closed" : isStarted ? `${left.length} open` : countOf(points.length, "point")}
            </Words>
          </View>
        );
      })}
      <Button
        label={open.length > 0 ? "Open the check" : "Look at the check"}
        onPress={() => router.navigate(`/work/${state.id}/check`)}
        testID="open-check"
      />
      <UnsafePart view={view} business={business} />
      <RecallsPart view={view} business={business} />
      {bad.map((finding) => (
        <BadPoint key={finding.pointId} finding={finding} view={view} business={business} />
      ))}
    </View>
  );
}

function BadPoint({
  finding,
  view,
  business,
}: Pick<WorkOrderSectionProps, "view" | "business"> & { finding: Finding }) {
  const colors = useColors();
  const { state } = view;
  const point = pointById(finding.pointId, state, business.settings.inspection);
  if (!point || !isBad(finding.grade)) return null;
  const { icon: Icon, label } = GRADE_LOOK[finding.grade];
  const details = [allMeasured(point, finding), finding.note].filter(Boolean).join(" · ");
  return (
    <View
      style={[styles.finding, { borderColor: colors.hairline }]}
      role="group"
      aria-label={`${point.title}, ${label}`}
    >
      <Icon size={24} color={finding.grade === "watch" ? colors.ink : colors.alarm} />
      <View style={styles.grow}>
        <Words strong>{`${point.title}: ${label.toLowerCase()}`}</Words>
        {details === "" ? null : <Words figures>{details}</Words>}
        <PhotoStrip pictures={picturesOf(state, "point", point.id)} title={point.title} tellsSending />
        <CureOffers point={point} view={view} business={business} />
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  list: { gap: SPACE.m },
  sheet: { flexDirection: "row", justifyContent: "space-between", gap: SPACE.m },
  finding: { flexDirection: "row", gap: SPACE.m, borderTopWidth: 1, paddingTop: SPACE.m },
  grow: { flex: 1, gap: SPACE.s },
});
