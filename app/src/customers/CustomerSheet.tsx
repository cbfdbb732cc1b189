import { useRouter } from "expo-router";
import { useState } from "react";
import { StyleSheet, View } from "react-native";
import { showMoney } from "@mechanon/core";
import type { CustomerSheetView } from "@mechanon/contract";
import { useDraft } from "../newWork/draft";
import { useRight } from "../session/useSession";
import { SheetScreen } from "../sheet/SheetScreen";
import { SheetWaits } from "../sheet/SheetWaits";
import { Button } from "../ui/Button";
import { Heading } from "../ui/Heading";
import { Notice } from "../ui/Notice";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import { ContactLinks } from "./ContactLinks";
import { EditCustomer } from "./EditCustomer";
import { UndoMerges } from "./MergeSection";
import { customerSections } from "./customerSections";
import { useCustomerSheet } from "./useCustomerSheet";

/** A customer: cars, open work, visits, money, what was put off, what was said; each one press away. */
export function CustomerSheet({ id }: { id: string }) {
  const { data, error, refetch, dataUpdatedAt } = useCustomerSheet(id);
  if (!data) return <SheetWaits title="Customer" error={error} onRetry={() => void refetch()} />;
  return <Loaded key={data.customer.id} sheet={data} answeredAt={dataUpdatedAt} reload={() => void refetch()} />;
}

interface LoadedProps {
  sheet: CustomerSheetView;
  /** In milliseconds; 0: it was taken down here. */
  answeredAt: number;
  reload: () => void;
}

function Loaded({ sheet, answeredAt, reload }: LoadedProps) {
  const router = useRouter();
  const begin = useDraft((store) => store.begin);
  const [isEditing, setEditing] = useState(false);
  const mayErase = useRight("settings");
  const { customer, vehicles } = sheet;
  const stopEditing = (): void => setEditing(false);
  const startWork = (): void => {
    const [only] = vehicles;
    begin({
      known: customer,
      car: vehicles.length === 1 && only ? { kind: "kept", vehicle: only, then: "nothing" } : null,
    });
    router.navigate("/new");
  };
  if (isEditing) return <EditCustomer customer={customer} onLeave={stopEditing} />;
  const called = customer.kind === "person" ? (customer.name.split(" ")[0] ?? "") : customer.name;
  const head = (
    <View style={styles.head}>
      <Heading level={1} style={styles.name}>
        {customer.name}
      </Heading>
      {sheet.owedCents > 0 ? <Words strong figures size="lead">{`Owes ${showMoney(sheet.owedCents)}`}</Words> : null}
    </View>
  );
  const notices = (
    <>
      <UndoMerges merges={sheet.merges} onUndone={reload} />
      {customer.erasedAt ? (
        <Notice kind="note" text="This customer was erased. The bills below are kept, without the person." />
      ) : (
        <View style={styles.links}>
          <ContactLinks customer={customer} />
          <Button kind="quiet" label="Change" onPress={() => setEditing(true)} />
        </View>
      )}
    </>
  );
  return (
    <SheetScreen
      title={customer.name}
      id={customer.id}
      answeredAt={answeredAt}
      head={head}
      notices={notices}
      {...customerSections(sheet, { mayErase, reload })}
      foot={
        customer.erasedAt ? undefined : (
          <Button kind="next" label={`New work order for ${called}`} onPress={startWork} />
        )
      }
    />
  );
}

const styles = StyleSheet.create({
  head: { flexDirection: "row", gap: SPACE.m, alignItems: "baseline", flexWrap: "wrap" },
  name: { flexGrow: 1, flexShrink: 1 },
  links: { flexDirection: "row", flexWrap: "wrap", columnGap: SPACE.m },
});
