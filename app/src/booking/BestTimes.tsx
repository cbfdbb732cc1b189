import { useQuery } from "@tanstack/react-query";
import { StyleSheet, View } from "react-native";
import { showDay, showMoment, showTime, type Spot, type TimeOffer, type VisitNeeds } from "@mechanon/core";
import { routes } from "@mechanon/contract";
import { call } from "../api/call";
import { Unreachable, errorWords } from "../api/problem";
import { useToday } from "../day/useDay";
import { useNow } from "../day/useNow";
import type { Business } from "../session/useSession";
import { Notice } from "../ui/Notice";
import { Press } from "../ui/Press";
import { useColors } from "../ui/face";
import { SPACE } from "../ui/theme";
import { WaitingRows } from "../ui/WaitingRows";
import { Words } from "../ui/Words";
import { offerWords } from "./offerWords";
import { PARTS_OF_DAY, type PartOfDay } from "./slot";

const DAYS_AHEAD = 7;
const SHOWN = 3;
const KEPT_MS = 20_000;

/** What a time is looked for. */
export interface VisitAsked {
  place: Spot;
  needs: Pick<VisitNeeds, "skills" | "carries" | "isUrgent">;
  /** When the last part is there; null: no part is waited for. */
  notBefore: string | null;
  /** The call, work order or visit: the times shown are held for it. */
  heldFor: string;
  /** Nothing is held while nothing is begun: whoever only looks keeps no time from others. */
  isBegun?: boolean;
  /** A visit that is to be moved. */
  movesVisitId: string | null;
}

interface BestTimesProps extends VisitAsked {
  business: Business;
  minutes: number;
  part: PartOfDay;
  /** The time that is picked: two may come at one time. */
  value: Pick<TimeOffer, "mechanicId" | "startsAt"> | null;
  onPick: (offer: TimeOffer) => void;
}

/** The best times of the coming week, each with what it costs on the road: one tap picks one. */
export function BestTimes(props: BestTimesProps) {
  // Its room is kept while it is looked for: what stands below does not move.
  return (
    <View style={styles.room}>
      <Offers {...props} />
    </View>
  );
}

function Offers({
  business,
  place,
  needs,
  notBefore,
  heldFor,
  isBegun = true,
  movesVisitId,
  minutes,
  part,
  value,
  onPick,
}: BestTimesProps) {
  const colors = useColors();
  const today = useToday();
  const now = useNow();
  const { skills, carries, isUrgent } = needs;
  const { latitude, longitude } = place;
  const body = {
    place: { latitude, longitude },
    minutes,
    skills: [...skills],
    carries: [...carries],
    isUrgent,
    notBefore,
    between: PARTS_OF_DAY[part],
    heldFor: isBegun ? heldFor : null,
    hold: isBegun ? SHOWN : 0,
    mechanicId: null,
    movesVisitId,
    days: DAYS_AHEAD,
  };
  const { data, error, refetch } = useQuery({
    queryKey: ["offeredTimes", body],
    queryFn: () => call(routes.offeredTimes, { body }),
    staleTime: KEPT_MS,
    retry: false,
    networkMode: "always",
  });
  if (error)
    return (
      <Notice
        kind="note"
        text={`${error instanceof Unreachable ? "" : `${errorWords(error)} `}The best times need a signal; a day and a time can be picked below.`}
        action={{ label: "Try again", onPress: () => void refetch() }}
      />
    );
  if (!data) return <WaitingRows label="Looking for the best times" rows={2} />;
  if (data.offers.length === 0)
    return (
      <Notice
        kind="note"
        text={`Nobody who can do it has so much time in the coming week${part === "any" ? "" : ` in the ${part}`}. Pick a day below.`}
      />
    );
  if (data.heldUntil !== null && data.heldUntil <= now)
    return (
      <Notice
        kind="note"
        text="These times are not held for you any more; somebody else may have been offered them."
        action={{ label: "Look again", onPress: () => void refetch() }}
      />
    );
  const about = [
    `${isUrgent ? "Soonest" : "Best"} for ${minutes} min`,
    notBefore === null ? "" : `once the parts are there, ${showMoment(notBefore, business.timeZone, today)}`,
    latitude === null ? "without an address the drive is a guess" : "",
    data.heldUntil === null ? "" : `held for you until ${showTime(data.heldUntil, business.timeZone)}`,
  ];
  return (
    <View style={styles.list}>
      <Words size="small" tone="muted" figures>
        {about.filter(Boolean).join("; ")}
      </Words>
      <View role="radiogroup" aria-label="Best times" testID="best-times">
        {data.offers.slice(0, SHOWN).map((offer) => {
          const isChosen = offer.startsAt === value?.startsAt && offer.mechanicId === value.mechanicId;
          const when = `${showDay(offer.date, today)}, ${showTime(offer.startsAt, business.timeZone)}`;
          const what = offerWords(offer, business);
          return (
            <Press
              key={`${offer.mechanicId} ${offer.startsAt}`}
              role="radio"
              label={`${when}, ${what}`}
              aria-checked={isChosen}
              onPress={() => onPick(offer)}
              style={[
                styles.offer,
                { borderColor: isChosen ? colors.petrol : colors.hairline, borderLeftWidth: isChosen ? 6 : 1 },
              ]}
            >
              <Words strong figures tone={isChosen ? "petrol" : "ink"}>
                {when}
              </Words>
              <Words size="small" tone="muted" figures>
                {what}
              </Words>
            </Press>
          );
        })}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  room: { minHeight: 240 },
  list: { gap: SPACE.xs },
  offer: { borderWidth: 1, padding: SPACE.s, marginBottom: SPACE.xs, borderRadius: 4 },
});
