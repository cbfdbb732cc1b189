import { useRouter } from "expo-router";
import { StyleSheet, View } from "react-native";
import { mainPhone, mainPlace, showPhone, showPlace } from "@mechanon/core";
import { Button } from "../ui/Button";
import { Notice } from "../ui/Notice";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import { useDraft, type CallerOnFile as Known } from "./draft";
import { useCustomerSheet } from "../customers/useCustomerSheet";

/** Somebody we know: how to reach them, where, and what is open. */
export function KnownCaller({ known }: { known: Known }) {
  const router = useRouter();
  const { change } = useDraft();
  const phone = mainPhone(known);
  const place = mainPlace(known);
  const { data } = useCustomerSheet(known.id);
  return (
    <View style={styles.list}>
      <Words strong size="lead">
        {known.name}
      </Words>
      <Words tone="muted">
        {[known.knownFrom, phone ? showPhone(phone.number, phone.extension) : "", place ? showPlace(place) : ""]
          .filter(Boolean)
          .join(" · ")}
      </Words>
      {data?.customer.usualPayer ? <Words>{`${data.customer.usualPayer.name} usually pays`}</Words> : null}
      {data?.customer.taxExemption ? <Words>{`Exempt from tax, ${data.customer.taxExemption.number}`}</Words> : null}
      {data && data.openWork.length > 0 ? (
        <Notice
          kind="note"
          text={`Open already: ${data.openWork.map(({ number, vehicleName }) => `${number}, ${vehicleName}`).join("; ")}.`}
          action={{
            label: `Go on with ${data.openWork[0]?.number ?? ""}`,
            onPress: () => router.navigate(`/work/${data.openWork[0]?.id ?? ""}`),
          }}
        />
      ) : null}
      {data && data.later.length > 0 ? (
        <Words>{`Put off: ${data.later.map(({ title }) => title).join(", ")}`}</Words>
      ) : null}
      <Button kind="quiet" label="Somebody else calls" onPress={() => change({ known: null, car: null })} />
    </View>
  );
}

const styles = StyleSheet.create({ list: { gap: SPACE.m } });
