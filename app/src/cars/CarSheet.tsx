import { useRouter } from "expo-router";
import { useState } from "react";
import { Image, Linking, StyleSheet, View } from "react-native";
import { countOf, showVehicle } from "@mechanon/core";
import { routes, type VehicleSheet } from "@mechanon/contract";
import { call } from "../api/call";
import { errorWords } from "../api/problem";
import { PastWork } from "../day/PastWork";
import { WorkOrderLine } from "../day/WorkOrderLine";
import { useDraft } from "../newWork/draft";
import { useBusiness } from "../session/useSession";
import { Button } from "../ui/Button";
import { Columns } from "../ui/Columns";
import { Heading } from "../ui/Heading";
import { Notice } from "../ui/Notice";
import { Screen } from "../ui/Screen";
import { SPACE } from "../ui/theme";
import { useIsWide } from "../ui/useIsWide";
import { useParts } from "../ui/useParts";
import { Waiting } from "../ui/Waiting";
import { Words } from "../ui/Words";
import { CarFacts } from "./CarFacts";
import { CarForm } from "./CarForm";
import { lastServiceLines, odometerLine, putOffWords } from "./carWords";
import { DuePart } from "./DuePart";
import { OdometerChart } from "./OdometerChart";
import { ElsewherePart, RecallsPart } from "./OutsideParts";
import { OpenFacts } from "./OpenFacts";
import { OwnerPart } from "./OwnerPart";
import { SpecsPart } from "./SpecsPart";
import { TiresPart } from "./TiresPart";
import { useCarSheet } from "./useCarSheet";

/** A car: its work, what is due, what it needs, whose it is. */
export function CarSheet({ id }: { id: string }) {
  const { sheet, error, reload } = useCarSheet(id);
  if (!sheet)
    return (
      <Screen title="Car">
        {error ? (
          <Notice text={errorWords(error)} action={{ label: "Try again", onPress: reload }} />
        ) : (
          <Waiting label="Loading the car" />
        )}
      </Screen>
    );
  return <Loaded key={id} sheet={sheet} reload={reload} />;
}

type Part =
  "open" | "later" | "last" | "odometer" | "due" | "specs" | "tires" | "recalls" | "elsewhere" | "past" | "owner";

/** Parts that have something in them to act on. */
function standsOpen({ openWork, later, due, specs }: VehicleSheet, isWide: boolean): Set<Part> {
  return new Set<Part>([
    "odometer",
    "last",
    // Beside each other there is room.
    ...(isWide && specs ? (["specs"] as const) : []),
    ...(openWork.length > 0 ? (["open"] as const) : []),
    ...(later.length > 0 ? (["later"] as const) : []),
    ...(due.some(({ standing }) => standing === "overdue" || standing === "soon") ? (["due"] as const) : []),
  ]);
}

function Loaded({ sheet, reload }: { sheet: VehicleSheet; reload: () => void }) {
  const router = useRouter();
  const isWide = useIsWide();
  const zone = useBusiness()?.timeZone ?? "UTC";
  const begin = useDraft((store) => store.begin);
  const [isEditing, setEditing] = useState(false);
  const part = useParts(standsOpen(sheet, isWide));
  const [fault, setFault] = useState<string | null>(null);
  const { vehicle, owner, people, openWork, later, odometer, due, pastWork, pastWorkCount } = sheet;
  const startWork = async (): Promise<void> => {
    try {
      const { customer } = await call(routes.getCustomer, { params: { id: owner.id } });
      begin({ known: customer, car: { kind: "kept", vehicle, then: "nothing" } });
      router.navigate("/new");
    } catch (error) {
      setFault(errorWords(error));
    }
  };
  if (isEditing)
    return (
      <CarForm
        vehicle={vehicle}
        onLeave={() => setEditing(false)}
        onSaved={() => {
          setEditing(false);
          reload();
        }}
      />
    );
  const last = lastServiceLines(sheet.lastService, zone);
  const urgent = due.filter(({ standing }) => standing === "overdue" || standing === "soon").length;
  const work = [
    part(
      "open",
      "Open work",
      openWork.length === 0 ? "Nothing" : String(openWork.length),
      openWork.length === 0 ? (
        <Words tone="muted">Nothing is open on this car.</Words>
      ) : (
        openWork.map((order) => <WorkOrderLine key={order.id} order={order} showWait />)
      ),
    ),
    part(
      "later",
      "Put off",
      later.length === 0 ? "Nothing" : countOf(later.length, "job"),
      later.length === 0 ? (
        <Words tone="muted">Jobs answered with “later” wait here.</Words>
      ) : (
        later.map((job) => (
          <View key={job.jobId} style={styles.pair}>
            <Words style={styles.grow}>{job.title}</Words>
            <Words figures>{putOffWords(job)}</Words>
          </View>
        ))
      ),
    ),
    part(
      "due",
      "Services due",
      due.length === 0 ? "No list yet" : urgent === 0 ? "Nothing soon" : `${urgent} due`,
      <DuePart sheet={sheet} reload={reload} />,
    ),
    part(
      "last",
      "Last time",
      last.length === 0 ? "Nothing yet" : "",
      last.length === 0 ? (
        <Words tone="muted">Oil, filter and tire pressures of the last service stand here.</Words>
      ) : (
        last.map((line) => <Words key={line}>{line}</Words>)
      ),
    ),
    part("odometer", "Odometer", odometerLine(odometer), <OdometerChart odometer={odometer} zone={zone} />),
    part(
      "past",
      "History here",
      countOf(pastWorkCount, "work order"),
      <PastWork
        id={vehicle.id}
        first={pastWork}
        count={pastWorkCount}
        load={(from) => call(routes.vehicleWork, { params: { id: vehicle.id }, query: { from: String(from) } })}
      />,
    ),
  ];
  const facts = [
    part("specs", "Specs", sheet.specs ? (sheet.specs.simulated ? "Simulated" : sheet.specs.source) : "Not asked yet", <SpecsPart sheet={sheet} />),
    part("tires", "Tires", "Other sizes, age", <TiresPart sheet={sheet} />),
    part("recalls", "Recalls", "From the source", <RecallsPart id={vehicle.id} />),
    part("elsewhere", "Done elsewhere", "From the source", <ElsewherePart id={vehicle.id} zone={zone} />),
    part(
      "owner",
      "Whose car",
      people.length === 0 ? owner.name : `${owner.name}, ${countOf(people.length, "driver")}`,
      <OwnerPart sheet={sheet} reload={reload} />,
    ),
  ]; // prettier-ignore
  return (
    <Screen
      title={showVehicle(vehicle)}
      foot={
        <>
          {fault ? <Notice text={fault} /> : null}
          <Button
            kind="next"
            label={`New work order for this ${vehicle.make ?? "car"}`}
            onPress={() => void startWork()}
          />
        </>
      }
    >
      <View style={styles.head}>
        {vehicle.photoId ? (
          <Image
            source={{ uri: `/api/photos/${vehicle.photoId}` }}
            accessibilityLabel={`Photo of the ${showVehicle(vehicle)}`}
            style={styles.photo}
          />
        ) : null}
        <View style={styles.grow}>
          <Heading level={1}>{showVehicle(vehicle)}</Heading>
          <CarFacts car={vehicle} />
          {vehicle.vinNote ? <Words size="small" tone="alarm">{`VIN kept as read: ${vehicle.vinNote}`}</Words> : null}
        </View>
      </View>
      <View style={styles.links}>
        <Button kind="quiet" label={owner.name} onPress={() => router.navigate(`/customers/${owner.id}`)} />
        <Button kind="quiet" label="Change" onPress={() => setEditing(true)} testID="change-car" />
        <Button
          kind="quiet"
          label="History on paper"
          onPress={() => void Linking.openURL(`/api/vehicles/${vehicle.id}/history.pdf`)}
        />
      </View>
      <OpenFacts vehicle={vehicle} reload={reload} />
      <Columns main={work} side={facts} />
    </Screen>
  );
}

const styles = StyleSheet.create({
  head: { flexDirection: "row", gap: SPACE.m },
  photo: { width: 104, height: 78, borderRadius: 4 },
  grow: { flex: 1 },
  pair: { flexDirection: "row", gap: SPACE.m },
  links: { flexDirection: "row", flexWrap: "wrap", columnGap: SPACE.s },
});
