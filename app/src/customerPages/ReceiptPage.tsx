import { useQuery } from "@tanstack/react-query";
import { Linking } from "react-native";
import { FileText } from "../ui/icons";
import { receiptPageRoutes as routes } from "@mechanon/contract";
import { addressOf, call } from "../api/call";
import { errorWords } from "../api/problem";
import { Button } from "../ui/Button";
import { Notice } from "../ui/Notice";
import { Screen } from "../ui/Screen";
import { WaitingRows } from "../ui/WaitingRows";
import { ReceiptPaper } from "../receipts/ReceiptPaper";

/** The receipt a customer opens from a text, without signing in. */
export function ReceiptPage({ token }: { token: string }) {
  const { data, error, refetch } = useQuery({
    queryKey: ["publicReceipt", token],
    queryFn: () => call(routes.openReceipt, { params: { token } }),
  });
  return (
    <Screen
      measured
      title="Receipt"
      foot={
        data ? (
          <Button
            icon={FileText}
            label="Open as PDF"
            onPress={() => void Linking.openURL(addressOf(routes.openReceiptPdf.path, { token }))}
          />
        ) : undefined
      }
    >
      {data ? (
        <ReceiptPaper receipt={data} />
      ) : error ? (
        <Notice text={errorWords(error)} action={{ label: "Try again", onPress: () => void refetch() }} />
      ) : (
        <WaitingRows label="Loading the receipt" />
      )}
    </Screen>
  );
}
