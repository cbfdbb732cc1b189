import { useRouter } from "expo-router";
import { useState } from "react";
import { Linking, StyleSheet, View } from "react-native";
import { LANGUAGES, LANGUAGE_NAMES, showCustomer, type Language, type Paper } from "@mechanon/core";
import { routes, type WorkOrderView } from "@mechanon/contract";
import { addressOf } from "../api/call";
import { errorWords } from "../api/problem";
import { NeedsSignal } from "../offline/NeedsSignal";
import { useBusiness, type Business } from "../session/useSession";
import { SheetWaits } from "../sheet/SheetWaits";
import { useWorkOrder } from "../sync/useWorkOrder";
import { Button } from "../ui/Button";
import { Choices } from "../ui/Choices";
import { FileText, Printer } from "../ui/icons";
import { Notice } from "../ui/Notice";
import { Screen } from "../ui/Screen";
import { SPACE } from "../ui/theme";
import { PaperPage } from "./PaperPage";
import { PaperWordings } from "./PaperWordings";
import { printPdf } from "./printPdf";
import { SendPaper } from "./SendPaper";
import { usePaperBlocks } from "./usePaperBlocks";

const TITLES: Record<Paper, string> = { quote: "The quote on paper", mechanicsSheet: "Mechanic’s sheet" };

/** A paper of a work order: as a page, printed, as a PDF, by mail and by text. */
export function PaperScreen({ id, paper }: { id: string; paper: Paper }) {
  const router = useRouter();
  const business = useBusiness();
  const { view, error, refetch } = useWorkOrder(id);
  if (view && business) return <ShownPaper view={view} business={business} paper={paper} />;
  return (
    <SheetWaits title={TITLES[paper]} error={error} onRetry={refetch}>
      <Button kind="quiet" label="To the work order" onPress={() => router.navigate(`/work/${id}`)} />
    </SheetWaits>
  );
}

interface ShownPaperProps {
  view: WorkOrderView;
  business: Business;
  paper: Paper;
}

function ShownPaper({ view, business, paper }: ShownPaperProps) {
  const router = useRouter();
  const [chosen, setLanguage] = useState<Language | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const [isPrinting, setPrinting] = useState(false);
  const { id } = view.state;
  const language = chosen ?? (paper === "quote" ? (view.customer?.language ?? LANGUAGES[0]) : LANGUAGES[0]);
  const blocks = usePaperBlocks(view, business, paper, language);
  const address = addressOf(routes.workOrderPaper.path, { id, paper }, { language });
  const print = async (): Promise<void> => {
    setPrinting(true);
    setFault(null);
    try {
      await printPdf(address);
    } catch (error) {
      setFault(errorWords(error));
    } finally {
      setPrinting(false);
    }
  };
  return (
    <Screen
      title={`${TITLES[paper]}, ${showCustomer(view.customer)}`}
      foot={
        <>
          {fault ? <Notice text={fault} /> : null}
          <NeedsSignal what="Printing" />
          <Button
            kind="next"
            icon={Printer}
            label="Print"
            busy={isPrinting}
            onPress={() => void print()}
            testID="print"
          />
        </>
      }
    >
      <View style={styles.columns}>
        <View style={styles.paper}>
          <PaperPage businessName={business.name} logo={business.settings.papers.logo} blocks={blocks} />
        </View>
        <View style={styles.acts}>
          {paper === "quote" ? (
            <Choices
              label="Language of the paper"
              options={LANGUAGES.map((value) => ({ value, label: LANGUAGE_NAMES[value] }))}
              value={language}
              onChoose={setLanguage}
            />
          ) : null}
          <Button icon={FileText} label="Open as PDF" onPress={() => void Linking.openURL(address)} />
          <PaperWordings view={view} business={business} paper={paper} language={language} />
          <SendPaper view={view} paper={paper} />
          <Button kind="quiet" label="Back to the work order" onPress={() => router.navigate(`/work/${id}`)} />
        </View>
      </View>
    </Screen>
  );
}

const styles = StyleSheet.create({
  columns: { flexDirection: "row", flexWrap: "wrap", gap: SPACE.l },
  paper: { flexGrow: 2, flexBasis: 340, maxWidth: 640 },
  acts: { flexGrow: 1, flexBasis: 300, maxWidth: 640, gap: SPACE.m },
});
