import { useQuery } from "@tanstack/react-query";
import type { ReactNode } from "react";
import { View } from "react-native";
import { showDate, showMiles } from "@mechanon/core";
import { routes } from "@mechanon/contract";
import { call } from "../api/call";
import { errorWords } from "../api/problem";
import { Notice } from "../ui/Notice";
import { WaitingRows } from "../ui/WaitingRows";
import { Words } from "../ui/Words";

const KEPT_MS = 10 * 60_000;

/** What the maker calls back; asked for when it is looked at. */
export function RecallsSection({ id }: { id: string }) {
  return (
    <Asked
      what="recalls"
      id={id}
      waiting="Asking for recalls"
      ask={() => call(routes.vehicleRecalls, { params: { id } })}
    >
      {({ recalls }) =>
        recalls.length === 0 ? (
          <Words>No recall for this car.</Words>
        ) : (
          recalls.map(({ campaign, title, remedy, since, open }) => (
            <View key={campaign}>
              <Words strong tone={open ? "alarm" : "ink"}>
                {open ? `✕ Open: ${title}` : `✓ Done: ${title}`}
              </Words>
              <Words tone="muted">{`${remedy}. Campaign ${campaign}, since ${since}.`}</Words>
            </View>
          ))
        )
      }
    </Asked>
  );
}

/** What others did to the car; asked for when it is looked at. */
export function ElsewhereSection({ id, zone }: { id: string; zone: string }) {
  return (
    <Asked
      what="elsewhere"
      id={id}
      waiting="Asking what others did"
      ask={() => call(routes.vehicleElsewhere, { params: { id } })}
    >
      {({ entries }) =>
        entries.length === 0 ? (
          <Words>Nobody else has reported work on this car.</Words>
        ) : (
          entries.map(({ at, miles, place, work }) => (
            <View key={`${at}${work}`}>
              <Words strong>{work}</Words>
              <Words tone="muted" figures>
                {[showDate(at, zone), miles === null ? null : showMiles(miles), place].filter(Boolean).join(" · ")}
              </Words>
            </View>
          ))
        )
      }
    </Asked>
  );
}

interface AskedProps<Answer> {
  what: string;
  id: string;
  waiting: string;
  ask: () => Promise<Answer>;
  children: (answer: Answer) => ReactNode;
}

/** What a source outside says about a car: waited for, failed, or told, with where it comes from. */
function Asked<Answer extends { source: string; simulated: boolean }>({
  what,
  id,
  waiting,
  ask,
  children,
}: AskedProps<Answer>) {
  const { data, error, refetch } = useQuery({ queryKey: [what, id], queryFn: ask, staleTime: KEPT_MS, retry: false });
  if (error) return <Notice text={errorWords(error)} action={{ label: "Try again", onPress: () => void refetch() }} />;
  if (!data) return <WaitingRows label={waiting} />;
  return (
    <>
      {data.simulated ? (
        <Notice kind="note" text={`Simulated by ${data.source}: made up, good for trying things out only.`} />
      ) : null}
      {children(data)}
    </>
  );
}
