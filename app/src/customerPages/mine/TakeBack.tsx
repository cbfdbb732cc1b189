import { useRef, useState } from "react";
import { StyleSheet, View } from "react-native";
import { v7 as uuid } from "uuid";
import { showMoney } from "@mechanon/core";
import type { CustomerPage, PageOrder } from "@mechanon/contract";
import { Button } from "../../ui/Button";
import { Notice } from "../../ui/Notice";
import { SPACE } from "../../ui/theme";
import { Words } from "../../ui/Words";
import { faultWords } from "../faultWords";
import { useSpeaking } from "../language";
import type { PageActs } from "./usePageActs";

/** Taking a yes back, with what stays to pay said first. */
export function TakeBack({ order, page, acts }: { order: PageOrder; page: CustomerPage; acts: PageActs }) {
  const { language, t } = useSpeaking();
  const [openId, setOpenId] = useState<string | null>(null);
  const id = useRef(uuid());
  const { takeBack } = acts;
  const open = order.takingBack.find(({ jobId }) => jobId === openId);
  const take = (jobId: string, staysCents: number): void =>
    takeBack.mutate(
      { id: order.id, body: { commandId: id.current, jobId, name: page.name || "–", staysCents } },
      {
        onSuccess: () => {
          id.current = uuid();
          setOpenId(null);
        },
      },
    );
  return (
    <View style={styles.list}>
      {order.takingBack.map(({ jobId, title, staysCents }) =>
        jobId === open?.jobId ? (
          <View key={jobId} style={styles.list}>
            <Words strong>
              {staysCents === 0
                ? t("answer.takeBackFree")
                : t("answer.takeBackCosts", { amount: showMoney(staysCents) })}
            </Words>
            <Button
              label={t("answer.takeBackSure")}
              busy={takeBack.isPending}
              onPress={() => take(jobId, staysCents)}
              testID={`take-back-${jobId}`}
            />
            <Button kind="quiet" label={t("mine.leaveIt")} onPress={() => setOpenId(null)} />
          </View>
        ) : (
          <Button key={jobId} kind="quiet" label={t("answer.takeBack", { title })} onPress={() => setOpenId(jobId)} />
        ),
      )}
      {takeBack.error ? <Notice text={faultWords(language, takeBack.error)} /> : null}
    </View>
  );
}

const styles = StyleSheet.create({ list: { gap: SPACE.s } });
