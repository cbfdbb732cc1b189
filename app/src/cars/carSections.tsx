import { StyleSheet, View } from "react-native";
import { useRouter } from "expo-router";
import { countOf, showDate } from "@mechanon/core";
import { routes, type VehicleSheetView } from "@mechanon/contract";
import { call } from "../api/call";
import { PastWork } from "../day/PastWork";
import { WorkOrderLine } from "../day/WorkOrderLine";
import { PhotoStrip } from "../photos/PhotoStrip";
import type { SheetSection } from "../sheet/section";
import { Press } from "../ui/Press";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import { lastServiceLines, odometerLine, putOffWords } from "./carWords";
import { CarPictures } from "./CarPictures";
import { DueSection } from "./DueSection";
import { OdometerChart } from "./OdometerChart";
import { ElsewhereSection, RecallsSection } from "./OutsideSections";
import { OwnerSection } from "./OwnerSection";
import { SpecsSection } from "./SpecsSection";
import { TiresSection } from "./TiresSection";

/** The sections of a car's sheet: what is done with it, and what one looks up. */
export function carSections(
  sheet: VehicleSheetView,
  { zone, isWide }: { zone: string; isWide: boolean },
): { main: SheetSection[]; side: SheetSection[] } {
  const { vehicle, owner, people, openWork, later, odometer, due, pastWork, pastWorkCount, specs } = sheet;
  const last = lastServiceLines(sheet.lastService, zone);
  const urgent = due.filter(({ standing }) => standing === "overdue" || standing === "soon").length;
  return {
    main: [
      {
        name: "open",
        title: "Open work",
        line: openWork.length === 0 ? "Nothing" : String(openWork.length),
        standsOpen: openWork.length > 0,
        body: () => <OpenWork orders={openWork} />,
      },
      {
        name: "unsafe",
        title: "Not safe",
        line: sheet.unsafe.length === 0 ? "Nothing known" : String(sheet.unsafe.length),
        standsOpen: sheet.unsafe.length > 0,
        body: () => <Unsafe unsafe={sheet.unsafe} zone={zone} />,
      },
      {
        name: "later",
        title: "Put off",
        line: later.length === 0 ? "Nothing" : countOf(later.length, "job"),
        standsOpen: later.length > 0,
        body: () => <PutOff jobs={later} />,
      },
      {
        name: "due",
        title: "Services due",
        line: due.length === 0 ? "No list yet" : urgent === 0 ? "Nothing soon" : `${urgent} due`,
        standsOpen: urgent > 0,
        body: () => <DueSection sheet={sheet} />,
      },
      {
        name: "last",
        title: "Last time",
        line: last.length === 0 ? "Nothing yet" : "",
        standsOpen: true,
        body: () => <LastTime lines={last} />,
      },
      {
        name: "odometer",
        title: "Odometer",
        line: odometerLine(odometer),
        standsOpen: true,
        body: () => <OdometerChart odometer={odometer} zone={zone} />,
      },
      {
        name: "pictures",
        title: "Photos",
        line: sheet.pictures.length === 0 ? "None" : String(sheet.pictures.length),
        body: () => <CarPictures pictures={sheet.pictures} zone={zone} />,
      },
      {
        name: "past",
        title: "History here",
        line: countOf(pastWorkCount, "work order"),
        body: () => (
          <PastWork
            id={vehicle.id}
            first={pastWork}
            count={pastWorkCount}
            load={(from) => call(routes.vehicleWork, { params: { id: vehicle.id }, query: { from: String(from) } })}
          />
        ),
      },
    ],
    side: [
      {
        name: "specs",
        title: "Specs",
        line: specs ? (specs.simulated ? "Simulated" : specs.source) : "Not asked yet",
        // Beside each other there is room.
        standsOpen: isWide && specs !== null,
        body: () => <SpecsSection sheet={sheet} />,
      },
      { name: "tires", title: "Tires", line: "Other sizes, age", body: () => <TiresSection sheet={sheet} /> },
      {
        name: "recalls",
        title: "Recalls",
        line: "From the source",
        body: () => <RecallsSection id={vehicle.id} />,
      },
      {
        name: "elsewhere",
        title: "Done elsewhere",
        line: "From the source",
        body: () => <ElsewhereSection id={vehicle.id} zone={zone} />,
      },
      {
        name: "owner",
        title: "Whose car",
        line: people.length === 0 ? owner.name : `${owner.name}, ${countOf(people.length, "driver")}`,
        body: () => <OwnerSection sheet={sheet} />,
      },
    ],
  };
}

function OpenWork({ orders }: { orders: VehicleSheetView["openWork"] }) {
  if (orders.length === 0) return <Words tone="muted">Nothing is open on this car.</Words>;
  return orders.map((order) => <WorkOrderLine key={order.id} order={order} showWait />);
}

function Unsafe({ unsafe, zone }: { unsafe: VehicleSheetView["unsafe"]; zone: string }) {
  const router = useRouter();
  if (unsafe.length === 0) return <Words tone="muted">What was found unsafe stands here until it is mended.</Words>;
  return unsafe.map(({ workOrderId, number, title, at, isTold }) => (
    <Press
      key={`${workOrderId} ${title}`}
      label={`${title}, work order ${number}`}
      onPress={() => router.navigate(`/work/${workOrderId}`)}
    >
      <Words strong tone="alarm">{`✕ ${title}`}</Words>
      <Words size="small" tone="muted">
        {`Since ${showDate(at, zone)}, ${isTold ? "they were told" : "nobody was told"}, No. ${number}`}
      </Words>
    </Press>
  ));
}

function PutOff({ jobs }: { jobs: VehicleSheetView["later"] }) {
  if (jobs.length === 0) return <Words tone="muted">Jobs answered with “later” wait here.</Words>;
  return jobs.map((job) => (
    <View key={job.jobId} style={styles.putOff}>
      <Words strong>{job.title}</Words>
      <Words figures>{putOffWords(job)}</Words>
      <PhotoStrip pictures={job.photoIds.map((photoId) => ({ photoId }))} title={job.title} />
    </View>
  ));
}

function LastTime({ lines }: { lines: readonly string[] }) {
  if (lines.length === 0)
    return <Words tone="muted">Oil, filter and tire pressures of the last service stand here.</Words>;
  return lines.map((line) => <Words key={line}>{line}</Words>);
}

const styles = StyleSheet.create({
  putOff: { gap: SPACE.xs, paddingBottom: SPACE.s },
});
