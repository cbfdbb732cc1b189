import { useQuery } from "@tanstack/react-query";
import { View } from "react-native";
import { showDate, showMiles } from "@mechanon/core";
import { routes } from "@mechanon/contract";
import { call } from "../api/call";
import { errorWords } from "../api/problem";
import { Notice } from "../ui/Notice";
import { Waiting } from "../ui/Waiting";
import { Words } from "../ui/Words";

const KEPT_MS = 10 * 60_000;
const simulatedWords = (source: string): string => `Simulated by ${source}: made up, good for trying things out only.`;

/** What the maker calls back; asked for when it is looked at. */
export function RecallsPart({ id }: { id: string }) {
  const { data, error, refetch } = useQuery({
    queryKey: ["recalls", id],
    queryFn: () => call(routes.vehicleRecalls, { params: { id } }),
    staleTime: KEPT_MS,
    retry: false,
  });
  if (error) return <Notice text={errorWords(error)} action={{ label: "Try again", onPress: () => void refetch() }} />;
  if (!data) return <Waiting label="Asking for recalls" />;
  return (
    <>
      {data.simulated ? <Notice kind="note" text={simulatedWords(data.source)} /> : null}
      {data.recalls.length === 0 ? <Words>No recall for this car.</Words> : null}
      {data.recalls.map(({ campaign, title, remedy, since, open }) => (
        <View key={campaign}>
          <Words strong tone={open ? "alarm" : "ink"}>
            {open ? `✕ Open: ${title}` : `✓ Done: ${title}`}
          </Words>
          <Words tone="muted">{`${remedy}. Campaign ${campaign}, since ${since}.`}</Words>
        </View>
      ))}
    </>
  );
}

/** What others did to the car; asked for when it is looked at. */
export function ElsewherePart({ id, zone }: { id: string; zone: string }) {
  const { data, error, refetch } = useQuery({
    queryKey: ["elsewhere", id],
    queryFn: () => call(routes.vehicleElsewhere, { params: { id } }),
    staleTime: KEPT_MS,
    retry: false,
  });
  if (error) return <Notice text={errorWords(error)} action={{ label: "Try again", onPress: () => void refetch() }} />;
  if (!data) return <Waiting label="Asking what others did" />;
  return (
    <>
      {data.simulated ? <Notice kind="note" text={simulatedWords(data.source)} /> : null}
      {data.entries.length === 0 ? <Words>Nobody else has reported work on this car.</Words> : null}
      {data.entries.map(({ at, miles, place, work }) => (
        <View key={`${at}${work}`}>
          <Words strong>{work}</Words>
          <Words tone="muted" figures>
            {[showDate(at, zone), miles === null ? null : showMiles(miles), place].filter(Boolean).join(" · ")}
          </Words>
        </View>
      ))}
    </>
  );
}
