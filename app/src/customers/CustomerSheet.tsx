import { useQuery } from "@tanstack/react-query";
import { useRouter } from "expo-router";
import { useState } from "react";
import { StyleSheet, View } from "react-native";
import { countOf, showMoney, showVehicle } from "@mechanon/core";
import { fieldsOf, routes, type CustomerSheet as Sheet } from "@mechanon/contract";
import { call } from "../api/call";
import { errorWords } from "../api/problem";
import { PastWork } from "../day/PastWork";
import { WorkOrderLine } from "../day/WorkOrderLine";
import { CarFacts } from "../cars/CarFacts";
import { useDraft } from "../newWork/draft";
import { useRight } from "../session/useSession";
import { Button } from "../ui/Button";
import { Columns } from "../ui/Columns";
import { Heading } from "../ui/Heading";
import { Notice } from "../ui/Notice";
import { Press } from "../ui/Press";
import { Screen } from "../ui/Screen";
import { SPACE } from "../ui/theme";
import { useParts } from "../ui/useParts";
import { Waiting } from "../ui/Waiting";
import { Words } from "../ui/Words";
import { ContactLinks } from "./ContactLinks";
import { CustomerFacts } from "./CustomerFacts";
import { CustomerForm } from "./form/CustomerForm";
import { LaterList } from "./LaterList";
import { MergePart, UndoMerges } from "./MergePart";
import { MessageList } from "./MessageList";
import { PrivacyPart } from "./PrivacyPart";
import { VisitList } from "./VisitList";

/** A customer: cars, open work, visits, money, what was put off, what was said; each one press away. */
export function CustomerSheet({ id }: { id: string }) {
  const { data, error, refetch } = useQuery({
    queryKey: ["customer", id],
    queryFn: () => call(routes.getCustomer, { params: { id } }),
  });
  if (!data)
    return (
      <Screen title="Customer">
        {error ? (
          <Notice text={errorWords(error)} action={{ label: "Try again", onPress: () => void refetch() }} />
        ) : (
          <Waiting label="Loading the customer" />
        )}
      </Screen>
    );
  return <Loaded key={data.customer.id} sheet={data} reload={() => void refetch()} />;
}

type Part = "cars" | "open" | "visits" | "later" | "past" | "lastVisits" | "messages" | "about" | "merge" | "privacy";

/** Parts that have something in them to act on. */
function standsOpen({ openWork, comingVisits, vehicles, drives }: Sheet): Set<Part> {
  return new Set<Part>([
    "about",
    ...(openWork.length > 0 ? (["open"] as const) : []),
    ...(comingVisits.length > 0 ? (["visits"] as const) : []),
    ...(vehicles.length + drives.length > 0 ? (["cars"] as const) : []),
  ]);
}

function Loaded({ sheet, reload }: { sheet: Sheet; reload: () => void }) {
  const router = useRouter();
  const mayErase = useRight("settings");
  const begin = useDraft((store) => store.begin);
  const { customer, vehicles, openWork, comingVisits, lastVisits, later, messages, pastWork, pastWorkCount } = sheet;
  const [isEditing, setEditing] = useState(false);
  // What is to be done stands open; the rest is one line until it is pressed.
  const part = useParts(standsOpen(sheet));
  const startWork = (): void => {
    const [only] = vehicles;
    begin({
      known: customer,
      car: vehicles.length === 1 && only ? { kind: "kept", vehicle: only, then: "nothing" } : null,
    });
    router.navigate("/new");
  };
  if (isEditing)
    return (
      <CustomerForm
        title={`Change ${customer.name}`}
        form={`customer/${customer.id}`}
        onLeave={() => setEditing(false)}
        initial={fieldsOf(customer)}
        saveLabel="Save"
        onSave={async (fields) => {
          await call(routes.changeCustomer, {
            params: { id: customer.id },
            body: { ...fields, version: customer.version },
          });
          setEditing(false);
          reload();
        }}
      />
    );
  const left = [
    part(
      "open",
      "Open work",
      openWork.length === 0 ? "Nothing" : String(openWork.length),
      openWork.length === 0 ? (
        <Words tone="muted">Nothing is open.</Words>
      ) : (
        openWork.map((order) => <WorkOrderLine key={order.id} order={order} showWait ofCustomer />)
      ),
    ),
    part(
      "visits",
      "Coming visits",
      comingVisits.length === 0 ? "None" : String(comingVisits.length),
      <VisitList visits={comingVisits} empty="No visit is booked. A visit comes with a work order." />,
    ),
    part(
      "cars",
      "Cars",
      countOf(vehicles.length + sheet.drives.length, "car"),
      <>
        {vehicles.length + sheet.drives.length === 0 ? (
          <Words tone="muted">No car yet. It comes with the first work order.</Words>
        ) : null}
        {vehicles.map((vehicle) => (
          <Press
            key={vehicle.id}
            role="link"
            label={`Car ${showVehicle(vehicle)}, ${vehicle.plate ?? "no plate"}`}
            onPress={() => router.navigate(`/cars/${vehicle.id}`)}
          >
            <Words strong tone="petrol">
              {showVehicle(vehicle)}
            </Words>
            <CarFacts car={vehicle} />
          </Press>
        ))}
        {sheet.drives.map(({ vehicle, ownerName, role }) => (
          <Press
            key={vehicle.id}
            role="link"
            label={`${role} of ${showVehicle(vehicle)}, ${ownerName}'s`}
            onPress={() => router.navigate(`/cars/${vehicle.id}`)}
          >
            <Words strong tone="petrol">
              {showVehicle(vehicle)}
            </Words>
            <Words tone="muted">{`${role}; it belongs to ${ownerName}`}</Words>
          </Press>
        ))}
      </>,
    ),
    part(
      "later",
      "Later list",
      later.length === 0 ? "Nothing put off" : countOf(later.length, "job"),
      <LaterList later={later} />,
    ),
    part(
      "past",
      "Past work",
      String(pastWorkCount),
      <PastWork
        id={customer.id}
        first={pastWork}
        count={pastWorkCount}
        load={(from) => call(routes.customerWork, { params: { id: customer.id }, query: { from: String(from) } })}
        ofCustomer
      />,
    ),
    part(
      "lastVisits",
      "Last visits",
      lastVisits.length === 0 ? "None" : String(lastVisits.length),
      <VisitList visits={lastVisits} empty="No visit yet." />,
    ),
    part(
      "messages",
      "Messages",
      messages.length === 0 ? "None" : String(messages.length),
      <MessageList messages={messages} />,
    ),
  ];
  const right = [
    part(
      "about",
      "About them",
      customer.kind === "business" ? "Business" : "Person",
      <CustomerFacts customer={customer} />,
    ),
    part("merge", "Kept twice?", "Make two records one", <MergePart customer={customer} onMerged={reload} />),
    ...(mayErase
      ? [part("privacy", "Their data", "Hand out or erase", <PrivacyPart customer={customer} onErased={reload} />)]
      : []),
  ];
  return (
    <Screen
      title={customer.name}
      foot={
        customer.erasedAt ? undefined : (
          <Button
            kind="next"
            label={`New work order for ${customer.kind === "person" ? (customer.name.split(" ")[0] ?? "") : customer.name}`}
            onPress={startWork}
          />
        )
      }
    >
      <View style={styles.head}>
        <Heading level={1} style={styles.name}>
          {customer.name}
        </Heading>
        {sheet.owedCents > 0 ? <Words strong figures size="lead">{`Owes ${showMoney(sheet.owedCents)}`}</Words> : null}
      </View>
      <UndoMerges merges={sheet.merges} onUndone={reload} />
      {customer.erasedAt ? (
        <Notice kind="note" text="This customer was erased. The bills below are kept, without the person." />
      ) : (
        <View style={styles.links}>
          <ContactLinks customer={customer} />
          <Button kind="quiet" label="Change" onPress={() => setEditing(true)} />
        </View>
      )}
      <Columns main={left} side={right} />
    </Screen>
  );
}

const styles = StyleSheet.create({
  head: { flexDirection: "row", gap: SPACE.m, alignItems: "baseline", flexWrap: "wrap" },
  name: { flexGrow: 1, flexShrink: 1 },
  links: { flexDirection: "row", flexWrap: "wrap", columnGap: SPACE.s },
});
