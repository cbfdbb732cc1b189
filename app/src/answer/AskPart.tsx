import { useRouter } from "expo-router";
import { useState } from "react";
import { StyleSheet, View } from "react-native";
import { closedWithoutSale, openJobs } from "@mechanon/core";
import type { WorkOrderView } from "@mechanon/contract";
import type { Business } from "../session/useSession";
import { Button } from "../ui/Button";
import { FileText } from "../ui/icons";
import { SPACE } from "../ui/theme";
import { NoSale } from "./NoSale";
import { SendQuote } from "./SendQuote";
import { SpokenAnswer } from "./SpokenAnswer";
import { WhatWasAgreed } from "./WhatWasAgreed";

/** Asking for an answer: on this phone, over the phone, on their page; what was answered; closing without a sale. */
export function AskPart({ view, business }: { view: WorkOrderView; business: Business }) {
  const router = useRouter();
  const [isSpoken, setSpoken] = useState(false);
  const { state } = view;
  const isOpen = openJobs(state).length > 0 && !closedWithoutSale(state);
  return (
    <View style={styles.list}>
      <Button label="Turn to the customer" onPress={() => router.navigate(`/show/${state.id}`)} />
      {isOpen && isSpoken ? (
        <SpokenAnswer view={view} business={business} onDone={() => setSpoken(false)} />
      ) : isOpen ? (
        <>
          <Button
            label="They told us"
            spoken="They told us their answer"
            onPress={() => setSpoken(true)}
            testID="spoken"
          />
          <SendQuote view={view} />
        </>
      ) : null}
      <Button
        icon={FileText}
        label="The quote on paper"
        onPress={() => router.navigate(`/work/${state.id}/papers/quote`)}
      />
      <WhatWasAgreed view={view} business={business} />
      <NoSale state={state} />
    </View>
  );
}

const styles = StyleSheet.create({ list: { gap: SPACE.s } });
