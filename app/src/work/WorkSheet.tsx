import { useRouter } from "expo-router";
import { useHotkeys } from "react-hotkeys-hook";
import { ScrollView, StyleSheet, View } from "react-native";
import { showCustomer, showVehicle } from "@mechanon/core";
import type { WorkOrderView } from "@mechanon/contract";
import { useToday } from "../day/useDay";
import { useCarFacts } from "../jobLibrary/useCarFacts";
import { useBusiness, type Business } from "../session/useSession";
import { useTaxLaw } from "../quote/useTaxLaw";
import { FootSlot, useFoot } from "../sheet/FootAct";
import type { SheetSection } from "../sheet/section";
import { SheetWaits } from "../sheet/SheetWaits";
import { useSections } from "../sheet/useSections";
import { useUnsent } from "../sync/useUnsent";
import { Refusals } from "../sync/Refusals";
import { SyncLine } from "../sync/SyncLine";
import { useWorkOrder } from "../sync/useWorkOrder";
import { Button } from "../ui/Button";
import { useColors } from "../ui/face";
import { Screen } from "../ui/Screen";
import { useIsWide } from "../ui/useIsWide";
import { CarWarnings } from "./CarWarnings";
import { AboutWork } from "./AboutWork";
import { Concerns } from "./Concerns";
import { OpenConflicts } from "./OpenConflicts";
import { showNumber } from "./showNumber";
import { WORK_ORDER_SECTIONS } from "./sections";
import { SwapSection } from "./swap/SwapSection";
import { useNextAct } from "./useNextAct";
import { WorkHead } from "./WorkHead";

/** One work order as one sheet in the order of work; the next act at the foot. */
export function WorkSheet({ id }: { id: string }) {
  const router = useRouter();
  const business = useBusiness();
  const { view, asOf, error, refetch } = useWorkOrder(id);
  if (view && business) return <Sheet view={view} business={business} asOf={asOf} />;
  return (
    <SheetWaits title="Work order" error={error} onRetry={refetch}>
      <Button kind="quiet" label="To the day" onPress={() => router.navigate("/")} />
    </SheetWaits>
  );
}

interface SheetProps {
  view: WorkOrderView;
  business: Business;
}

function Sheet({ view, business, asOf }: SheetProps & { asOf: string | null }) {
  const router = useRouter();
  const isWide = useIsWide();
  const today = useToday();
  const facts = useCarFacts(view);
  const unsent = useUnsent(view.state.id);
  useTaxLaw(view, business);
  const { draw, open } = useSections();
  const { foot: slot, act: sectionAct } = useFoot();
  const next = useNextAct(view, business, open);
  useHotkeys("a", next.act, [next]);
  useHotkeys("j", () => open("quote"));
  useHotkeys("b", () => open("visits"));
  useHotkeys("q", () => router.navigate(`/work/${view.state.id}/quote`));
  const sections = WORK_ORDER_SECTIONS.map(({ name, title, line, standsOpen, Body }): SheetSection => ({
    name,
    title,
    line: line({ view, business, today, facts }),
    standsOpen: name === next.section || (standsOpen?.({ view }) ?? false),
    body: () => (
      <FootSlot.Provider value={name === next.section ? slot : "beside"}>
        <Body view={view} business={business} isUnsent={unsent} />
      </FootSlot.Provider>
    ),
  }));
  const isWhole = view.vehicle !== null && view.customer !== null;
  const foot = (
    <>
      {sectionAct ? (
        <Button kind="next" {...sectionAct} />
      ) : next.label ? (
        <Button kind="next" label={next.label} onPress={next.act} testID="next-act" />
      ) : null}
      <SyncLine asOf={asOf} />
    </>
  );
  return (
    <View style={styles.columns}>
      <Screen
        title={`${showNumber(view.number)} ${showCustomer(view.customer)}`}
        foldedHead={`${showCustomer(view.customer)} · ${showVehicle(view.vehicle)}`}
        foot={foot}
      >
        <WorkHead view={view} />
        <Refusals of={view.state.id} />
        <OpenConflicts state={view.state} />
        <CarWarnings view={view} business={business} />
        {isWide || isWhole ? null : <SwapSection view={view} />}
        <Concerns view={view} business={business} />
        <View>{draw(sections)}</View>
      </Screen>
      {isWide ? <Beside view={view} /> : null}
    </View>
  );
}

function Beside({ view }: { view: WorkOrderView }) {
  const colors = useColors();
  return (
    <ScrollView
      style={[styles.right, { borderColor: colors.hairline }]}
      role="complementary"
      aria-label="About this work order"
    >
      <AboutWork view={view} />
    </ScrollView>
  );
}

const styles = StyleSheet.create({
  columns: { flex: 1, flexDirection: "row" },
  right: { width: 300, maxWidth: 300, borderLeftWidth: 1 },
});
