import { useRouter } from "expo-router";
import { View } from "react-native";
import { showTime, visitStanding } from "@mechanon/core";
import type { BusinessView, DayVisit } from "@mechanon/contract";
import { useNow } from "../day/useNow";
import { useOpenWork } from "../day/useOpenWork";
import { Button } from "../ui/Button";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import { CALL_OFF_WORDS } from "../work/visits/callOffWords";
import { visitName } from "./visitName";

const SHOWN = 3;

/** A time that was called off and is free still, and who waits for one. */
export function GapNotice({
  stop,
  all,
  business,
}: {
  stop: DayVisit;
  all: readonly DayVisit[];
  business: BusinessView;
}) {
  const now = useNow();
  const router = useRouter();
  const { groups } = useOpenWork();
  const { visit } = stop;
  const { timeZone: zone } = business;
  const isFilled = all.some(
    (other) =>
      visitStanding(other.visit) !== "cancelled" &&
      other.visit.mechanicId === visit.mechanicId &&
      other.visit.startsAt < visit.endsAt &&
      other.visit.endsAt > visit.startsAt,
  );
  const why = visit.calledOff ? `, ${CALL_OFF_WORDS[visit.calledOff.why].toLowerCase()}` : "";
  const waiting = groups?.find(({ waitsFor }) => waitsFor === "time")?.workOrders.slice(0, SHOWN) ?? [];
  const isGap = visit.endsAt > now && !isFilled;
  return (
    <View style={{ gap: SPACE.xs }}>
      <Words size="small" tone="muted" figures>
        {`${showTime(visit.startsAt, zone)}, ${visitName(stop)}: called off${why}`}
      </Words>
      {isGap ? (
        <>
          <Words figures>{`${showTime(visit.startsAt, zone)} to ${showTime(visit.endsAt, zone)} is free now.`}</Words>
          {waiting.map((order) => (
            <Button
              key={order.id}
              kind="quiet"
              label={`Waits for a time: ${order.customerName}, ${order.vehicleName}`}
              onPress={() => router.navigate(`/work/${order.id}`)}
            />
          ))}
        </>
      ) : null}
    </View>
  );
}
