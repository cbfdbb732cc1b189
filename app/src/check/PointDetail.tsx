import { useState } from "react";
import { StyleSheet, View } from "react-native";
import {
  isBad,
  picturesOf,
  showDate,
  unevenWear,
  verdictOf,
  wearAhead,
  wearLimit,
  type Finding,
  type InspectionPoint,
  type MeasuredOn,
} from "@mechanon/core";
import type { WorkOrderView } from "@mechanon/contract";
import { PhotoButton } from "../photos/PhotoButton";
import { PhotoStrip } from "../photos/PhotoStrip";
import { PhotoViewer } from "../photos/PhotoViewer";
import type { Business } from "../session/useSession";
import { attachPhoto } from "../sync/photoActs";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import { CureOffers } from "./CureOffers";
import { measuredWords, reasonWords, unevenWords } from "./measureWords";
import { NoteField } from "./NoteField";
import { WearChart } from "./WearChart";
import { wearWords } from "./wearWords";

interface PointDetailProps {
  point: InspectionPoint;
  finding: Finding | undefined;
  view: WorkOrderView;
  business: Business;
  on: MeasuredOn;
  onNote: (note: string) => void;
}

/** All there is to a point: why its measures speak for a grade, notes, photos, how it wears, and what cures it. */
export function PointDetail({ point, finding, view, business, on, onNote }: PointDetailProps) {
  const { state } = view;
  const [openId, setOpenId] = useState<string | null>(null);
  const pictures = picturesOf(state, "point", point.id);
  const before = (view.carBefore?.pictures ?? []).filter(({ pointId }) => pointId === point.id);
  return (
    <View style={styles.list}>
      <Reasons point={point} finding={finding} on={on} />
      {finding && finding.grade !== "sound" ? (
        <NoteField
          key={`${point.id} ${finding.grade === "skipped"}`}
          workOrderId={state.id}
          point={point}
          finding={finding}
          onNote={onNote}
        />
      ) : null}
      <PhotoButton
        many
        label="Photo"
        of={point.title}
        testID={`photo-${point.id}`}
        onTake={async (photo, media) => {
          await attachPhoto(state.id, { of: "point", id: point.id, media }, photo);
        }}
      />
      <PhotoStrip pictures={pictures} title={point.title} tellsSending onOpen={setOpenId} />
      {finding && isBad(finding.grade) ? <CureOffers point={point} view={view} business={business} /> : null}
      {before.length > 0 ? (
        <View style={styles.list}>
          <Words size="small" tone="muted">{`Before: ${showDate(before[0]?.at ?? "", business.timeZone)}`}</Words>
          <PhotoStrip pictures={before} title={`${point.title} before`} onOpen={setOpenId} />
        </View>
      ) : null}
      <Wears point={point} finding={finding} view={view} business={business} on={on} />
      {openId === null ? null : (
        <PhotoViewer
          photoId={openId}
          title={point.title}
          of={{ of: "point", id: point.id }}
          view={view}
          onClose={() => setOpenId(null)}
        />
      )}
    </View>
  );
}

function Reasons({ point, finding, on }: Pick<PointDetailProps, "point" | "finding" | "on">) {
  const taken = finding?.measures ?? {};
  const uneven = unevenWear(point.measures, taken);
  const lines = point.measures.flatMap((measure) => {
    const value = taken[measure.key];
    if (value === undefined) return [];
    const { reason } = verdictOf(measure, value, taken, point.measures, on);
    return reason ? [`${measure.name} ${measuredWords(measure, value)}. ${reasonWords(reason, measure.unit)}.`] : [];
  });
  return [...lines, ...(uneven ? [`${unevenWords(uneven)}.`] : [])].map((line) => (
    <Words key={line} size="small" figures>
      {line}
    </Words>
  ));
}

function Wears({
  point,
  finding,
  view,
  business,
  on,
}: Pick<PointDetailProps, "point" | "finding" | "view" | "business" | "on">) {
  const odometer = view.state.odometerMiles?.value ?? null;
  return point.measures.map((measure) => {
    const value = finding?.measures[measure.key];
    const now = value === undefined || odometer === null ? null : { odometer, date: on.today, value };
    // Without today's miles the line would be of before, and say more than there is.
    if (value !== undefined && odometer === null && wearLimit(measure, on.specs) !== null)
      return (
        <Words key={measure.key} size="small" tone="muted">
          Read the odometer to see how it wears.
        </Words>
      );
    const ahead = wearAhead(point.id, measure, { before: view.carBefore?.measures ?? [], now, specs: on.specs });
    if (!ahead || ahead.readings.length < 2) return null;
    const words = wearWords(measure, ahead, business.timeZone);
    return (
      <View key={measure.key}>
        <WearChart
          readings={ahead.readings}
          limit={ahead.limit}
          milesLeft={ahead.wear.milesLeft}
          label={words}
          unitWords={(given) => measuredWords(measure, given)}
        />
        <Words size="small" figures>
          {words}
        </Words>
      </View>
    );
  });
}

const styles = StyleSheet.create({ list: { gap: SPACE.s } });
