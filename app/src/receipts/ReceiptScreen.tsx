import { useQuery } from "@tanstack/react-query";
import { useRouter } from "expo-router";
import { useRef, useState } from "react";
import { Linking, StyleSheet, View } from "react-native";
import { FileText, Smartphone } from "../ui/icons";
import { v7 as uuid } from "uuid";
import { mayText, showPhone, messageWays, visitStanding } from "@mechanon/core";
import { routes } from "@mechanon/contract";
import { addressOf, call } from "../api/call";
import { errorWords } from "../api/problem";
import { stateWords } from "../messages/messageWords";
import { keepAnswered } from "../sync/views";
import { sendVisitCommand } from "../sync/give";
import { useBusiness } from "../session/useSession";
import { useWorkOrder } from "../sync/useWorkOrder";
import { Button } from "../ui/Button";
import { Notice } from "../ui/Notice";
import { Screen } from "../ui/Screen";
import { SPACE } from "../ui/theme";
import { WaitingRows } from "../ui/WaitingRows";
import { Words } from "../ui/Words";
import { ReceiptPaper } from "./ReceiptPaper";
import { SentLinks } from "./SentLinks";

/** The receipt on screen, as a PDF, and by text. */
export function ReceiptScreen({ id }: { id: string }) {
  const router = useRouter();
  const business = useBusiness();
  const { view } = useWorkOrder(id);
  const { data, error, refetch } = useQuery({
    queryKey: ["receipt", id, view?.revision],
    queryFn: () => call(routes.getReceipt, { params: { id } }),
  });
  const [fault, setFault] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const messageId = useRef(uuid());
  const sendText = async (): Promise<void> => {
    setBusy(true);
    setFault(null);
    try {
      await keepAnswered(() => call(routes.textReceipt, { params: { id }, body: { messageId: messageId.current } }));
      messageId.current = uuid();
    } catch (problem) {
      setFault(errorWords(problem));
    } finally {
      setBusy(false);
    }
  };
  const here = view?.visits.find((visit) => visitStanding(visit) === "onSite");
  const leave = (): void => {
    if (here) sendVisitCommand(here.id, id, { type: "leave" });
    router.navigate("/");
  };
  const customer = view?.customer ?? null;
  const [way] = customer ? messageWays(customer) : [];
  const wantsTexts = customer === null || mayText(customer);
  const texts = view?.messages.filter(({ text }) => text.includes("/r/")) ?? [];
  const last = texts.at(-1);
  const foot = (
    <>
      {fault ? <Notice text={fault} /> : null}
      {last ? (
        <Words role="status" align="center">
          {stateWords(last)}
        </Words>
      ) : null}
      <Button
        kind="next"
        icon={Smartphone}
        busy={busy}
        disabled={!way}
        label={
          way?.channel === "text"
            ? `Text it to ${showPhone(way.recipient)}`
            : way
              ? `Mail it to ${way.recipient}`
              : !wantsTexts
                ? "They want no texts"
                : "No phone to text to"
        }
        onPress={() => void sendText()}
        testID="text-receipt"
      />
    </>
  );
  return (
    <Screen title="Receipt" foot={foot}>
      {error && !data ? (
        <Notice text={errorWords(error)} action={{ label: "Try again", onPress: () => void refetch() }} />
      ) : null}
      {data ? <ReceiptPaper receipt={data} /> : error ? null : <WaitingRows label="Loading the receipt" />}
      {view && business ? <SentLinks view={view} zone={business.timeZone} /> : null}
      <View style={styles.acts}>
        <Button
          icon={FileText}
          label="Open as PDF"
          onPress={() => void Linking.openURL(addressOf(routes.getReceiptPdf.path, { id }))}
        />
        {business?.simulated ? (
          <Button
            kind="quiet"
            label="See the customer's phone"
            onPress={() =>
              void Linking.openURL(
                `${business.simulated?.messages ?? ""}?to=${encodeURIComponent(way?.recipient ?? "")}`,
              )
            }
          />
        ) : null}
        {here ? <Button label="Leave; on to the day" onPress={leave} testID="leave" /> : null}
        <Button kind="quiet" label="Back to the work order" onPress={() => router.navigate(`/work/${id}`)} />
      </View>
    </Screen>
  );
}

const styles = StyleSheet.create({ acts: { gap: SPACE.s, maxWidth: 640 } });
