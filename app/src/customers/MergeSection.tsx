import { useQuery } from "@tanstack/react-query";
import { useDeferredValue, useState } from "react";
import { View } from "react-native";
import { showMoment } from "@mechanon/core";
import { routes, type Customer, type CustomerSheetView, type FoundCustomer } from "@mechanon/contract";
import { call } from "../api/call";
import { errorWords } from "../api/problem";
import { useToday } from "../day/useDay";
import { NeedsSignal } from "../offline/NeedsSignal";
import { useBusiness } from "../session/useSession";
import { give } from "../sync/give";
import { useSync } from "../sync/state";
import { Button } from "../ui/Button";
import { Field } from "../ui/Field";
import { Notice } from "../ui/Notice";
import { Words } from "../ui/Words";
import { CustomerLine } from "./CustomerLine";
import { LikelySameList } from "./LikelySameList";
import { useLikelySame } from "./useLikelySame";
import { askSearch } from "../search/askSearch";

/** Finds the other record of the same customer, says what merging does, and does it. */
export function MergeSection({ customer }: { customer: Customer }) {
  const [typed, setTyped] = useState("");
  const query = useDeferredValue(typed.trim());
  const [other, setOther] = useState<Pick<Customer, "id" | "name"> | null>(null);
  const likely = useLikelySame(customer, customer.id);
  const { data } = useQuery({
    queryKey: ["search", query],
    queryFn: () => askSearch(query),
    // Without a connection it is looked for on this device.
    networkMode: "always",
    enabled: query.length > 1 && other === null,
  });
  const found: FoundCustomer[] = (data?.customers ?? []).filter((each) => each.customer.id !== customer.id).slice(0, 5);
  const becoming = useSync(({ pending }) =>
    pending.find((item) => item.kind === "merge" && item.target === customer.id),
  );
  if (becoming?.kind === "merge")
    return <Words tone="muted">{`${becoming.mergedName} becomes part of this record as soon as it is sent.`}</Words>;
  if (other)
    return (
      <View style={{ gap: 12 }}>
        <Notice
          kind="note"
          text={`All cars, work, visits and bills of ${other.name} go to ${customer.name}; phones, emails, addresses and contacts are joined. Where both know a thing differently, ${customer.name} stands. It can be undone for 30 days.`}
        />
        <Button
          label={`Make ${other.name} part of ${customer.name}`}
          onPress={() => {
            setOther(null);
            void give([{ kind: "merge", target: customer.id, mergedId: other.id, mergedName: other.name }]);
          }}
          testID="merge"
        />
        <Button kind="quiet" label="No, leave them apart" onPress={() => setOther(null)} />
      </View>
    );
  return (
    <View style={{ gap: 12 }}>
      <LikelySameList likely={likely} onPick={(each) => setOther(each.customer)} />
      <Field label="Find the other record" value={typed} onChangeText={setTyped} maxLength={500} autoComplete="off" />
      {found.map((each) => (
        <CustomerLine
          key={each.customer.id}
          found={each}
          typed={query}
          verb="Merge with"
          role="button"
          onPress={() => setOther(each.customer)}
        />
      ))}
      {query.length > 1 && data && found.length === 0 ? <Words tone="muted">Nobody else matches.</Words> : null}
    </View>
  );
}

/** Merges that can still be undone. */
export function UndoMerges({ merges, onUndone }: { merges: CustomerSheetView["merges"]; onUndone: () => void }) {
  const today = useToday();
  const zone = useBusiness()?.timeZone ?? "utc";
  const [said, setSaid] = useState<string | null>(null);
  const undo = async (id: string): Promise<void> => {
    try {
      const { detailsRestored } = await call(routes.undoMerge, { params: { id } });
      setSaid(
        detailsRestored
          ? "They are apart again, both as they were."
          : "They are apart again. This record was changed since, so it keeps what it knows now.",
      );
      onUndone();
    } catch (error) {
      setSaid(errorWords(error));
    }
  };
  return (
    <>
      {said ? <Notice kind="note" text={said} /> : null}
      {merges.length > 0 ? <NeedsSignal what="Parting them again" /> : null}
      {merges.map(({ id, mergedName, at, by, undoUntil }) => (
        <Notice
          key={id}
          kind="note"
          text={`${mergedName} became part of this record (${showMoment(at, zone, today)}, ${by}). Can be undone until ${undoUntil.slice(0, 10)}.`}
          action={{ label: `Part from ${mergedName} again`, onPress: () => void undo(id) }}
        />
      ))}
    </>
  );
}
