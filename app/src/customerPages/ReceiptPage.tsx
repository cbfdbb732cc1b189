import { useQuery } from "@tanstack/react-query";
import { useEffect } from "react";
import { Linking } from "react-native";
import { FileText } from "../ui/icons";
import { receiptPageRoutes as routes } from "@mechanon/contract";
import { addressOf, call } from "../api/call";
import { Button } from "../ui/Button";
import { Notice } from "../ui/Notice";
import { Screen } from "../ui/Screen";
import { WaitingRows } from "../ui/WaitingRows";
import { ReceiptPaper } from "../receipts/ReceiptPaper";
import { faultWords } from "./faultWords";
import { useSpeaking } from "./language";
import { PageHead } from "./PageHead";

/** The receipt a customer opens from a message, without signing in. */
export function ReceiptPage({ token }: { token: string }) {
  const { language, t, suggest } = useSpeaking();
  const { data, error, refetch } = useQuery({
    queryKey: ["publicReceipt", token],
    queryFn: () => call(routes.openReceipt, { params: { token } }),
  });
  const kept = data?.language;
  useEffect(() => {
    if (kept) suggest(kept);
  }, [kept, suggest]);
  return (
    <Screen
      measured
      title={t("receipt.title")}
      foot={
        data ? (
          <Button
            icon={FileText}
            label={t("receipt.openPdf")}
            onPress={() => void Linking.openURL(addressOf(routes.openReceiptPdf.path, { token }, { language }))}
            testID="open-pdf"
          />
        ) : undefined
      }
    >
      {data ? (
        <>
          <PageHead businessName={data.business.name} businessPhone={data.business.phone} />
          <ReceiptPaper receipt={data} language={language} />
        </>
      ) : error ? (
        <Notice
          text={faultWords(language, error)}
          action={{ label: t("page.tryAgain"), onPress: () => void refetch() }}
        />
      ) : (
        <WaitingRows label={t("page.loading")} />
      )}
    </Screen>
  );
}
