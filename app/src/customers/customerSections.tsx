import { countOf } from "@mechanon/core";
import { routes, type CustomerSheetView } from "@mechanon/contract";
import { call } from "../api/call";
import { PastWork } from "../day/PastWork";
import { WorkOrderLine } from "../day/WorkOrderLine";
import type { SheetSection } from "../sheet/section";
import { Words } from "../ui/Words";
import { CustomerCars } from "./CustomerCars";
import { CustomerFacts } from "./CustomerFacts";
import { LaterList } from "./LaterList";
import { MergeSection } from "./MergeSection";
import { MessageList } from "./MessageList";
import { PageLinks } from "./PageLinks";
import { PrivacySection } from "./PrivacySection";
import { VisitList } from "./VisitList";

/** How many, or that there is none. */
const countOr = (none: string, items: readonly unknown[]): string => (items.length === 0 ? none : String(items.length));

/**
 * The sections of a customer's sheet: what is to be done stands open, the rest is one line until it is pressed.
 * @param reload - asks for the sheet anew after a change.
 */
export function customerSections(
  sheet: CustomerSheetView,
  { mayErase, reload }: { mayErase: boolean; reload: () => void },
): { main: SheetSection[]; side: SheetSection[] } {
  const { customer, vehicles, drives, openWork, comingVisits, lastVisits, later, messages } = sheet;
  const cars = vehicles.length + drives.length;
  return {
    main: [
      {
        name: "open",
        title: "Open work",
        line: countOr("Nothing", openWork),
        standsOpen: openWork.length > 0,
        body: () => <OpenWork orders={openWork} />,
      },
      {
        name: "visits",
        title: "Coming visits",
        line: countOr("None", comingVisits),
        standsOpen: comingVisits.length > 0,
        body: () => <VisitList visits={comingVisits} empty="No visit is booked. A visit comes with a work order." />,
      },
      {
        name: "cars",
        title: "Cars",
        line: countOf(cars, "car"),
        standsOpen: cars > 0,
        body: () => <CustomerCars vehicles={vehicles} drives={drives} />,
      },
      {
        name: "later",
        title: "Later list",
        line: later.length === 0 ? "Nothing put off" : countOf(later.length, "job"),
        body: () => <LaterList later={later} />,
      },
      {
        name: "past",
        title: "Past work",
        line: String(sheet.pastWorkCount),
        body: () => <CustomerPast sheet={sheet} />,
      },
      {
        name: "lastVisits",
        title: "Last visits",
        line: countOr("None", lastVisits),
        body: () => <VisitList visits={lastVisits} empty="No visit yet." />,
      },
      {
        name: "messages",
        title: "Messages",
        line: countOr("None", messages),
        body: () => (
          <>
            <MessageList messages={messages} />
            <PageLinks customerId={customer.id} />
          </>
        ),
      },
    ],
    side: [
      {
        name: "about",
        title: "About them",
        line: customer.kind === "business" ? "Business" : "Person",
        standsOpen: true,
        body: () => <CustomerFacts customer={customer} />,
      },
      {
        name: "merge",
        title: "Kept twice?",
        line: "Make two records one",
        body: () => <MergeSection customer={customer} />,
      },
      ...(mayErase
        ? [
            {
              name: "privacy",
              title: "Their data",
              line: "Hand out or erase",
              body: () => <PrivacySection customer={customer} onErased={reload} />,
            },
          ]
        : []),
    ],
  };
}

function OpenWork({ orders }: { orders: CustomerSheetView["openWork"] }) {
  if (orders.length === 0) return <Words tone="muted">Nothing is open.</Words>;
  return (
    <>
      {orders.map((order) => (
        <WorkOrderLine key={order.id} order={order} showWait ofCustomer />
      ))}
    </>
  );
}

function CustomerPast({ sheet: { customer, pastWork, pastWorkCount } }: { sheet: CustomerSheetView }) {
  return (
    <PastWork
      id={customer.id}
      first={pastWork}
      count={pastWorkCount}
      load={(from) => call(routes.customerWork, { params: { id: customer.id }, query: { from: String(from) } })}
      ofCustomer
    />
  );
}
