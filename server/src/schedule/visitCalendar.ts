import ICAL from "ical.js";
import { showPlace, visitStanding } from "@mechanon/core";
import type { DayVisit } from "@mechanon/contract";

const ALARM = "-PT30M";

/** A visit with how often it was changed: what is newer in a calendar is told by that. */
export interface CalendarVisit extends Pick<DayVisit, "visit" | "workOrders"> {
  revision: number;
  changedAt: string;
}

/** Visits as a calendar other programs read. @param name - of the calendar. @see RFC 5545 */
export function toCalendar(
  name: string,
  visits: readonly CalendarVisit[],
  addressOf: (workOrderId: string) => string,
): string {
  const calendar = new ICAL.Component(["vcalendar", [], []]);
  calendar.updatePropertyWithValue("prodid", "-//Mechanon//Visits//EN");
  calendar.updatePropertyWithValue("version", "2.0");
  calendar.updatePropertyWithValue("calscale", "GREGORIAN");
  calendar.updatePropertyWithValue("method", "PUBLISH");
  calendar.updatePropertyWithValue("x-wr-calname", name);
  for (const visit of visits) calendar.addSubcomponent(eventOf(visit, addressOf));
  return `${calendar.toString()}\r\n`;
}

function eventOf(
  { visit, workOrders, revision, changedAt }: CalendarVisit,
  addressOf: (workOrderId: string) => string,
): ICAL.Component {
  const event = new ICAL.Component(["vevent", [], []]);
  const [first] = workOrders;
  const who = [first?.customerName, workOrders.map(({ vehicleName }) => vehicleName).join(" + ")];
  const isOff = visitStanding(visit) === "cancelled";
  // The same for good, wherever it is moved to.
  event.updatePropertyWithValue("uid", `${visit.id}@mechanon`);
  event.updatePropertyWithValue("sequence", revision);
  event.updatePropertyWithValue("dtstamp", inUtc(changedAt));
  event.updatePropertyWithValue("dtstart", inUtc(visit.startsAt));
  event.updatePropertyWithValue("dtend", inUtc(visit.endsAt));
  event.updatePropertyWithValue("status", isOff ? "CANCELLED" : "CONFIRMED");
  event.updatePropertyWithValue(
    "summary",
    `${isOff ? "Called off: " : ""}${who.filter(Boolean).join(", ") || "Visit"}`,
  );
  const place = showPlace(visit.place);
  if (place !== "") event.updatePropertyWithValue("location", place);
  const { latitude, longitude } = visit.place;
  if (latitude !== null && longitude !== null) event.updatePropertyWithValue("geo", [latitude, longitude]);
  event.updatePropertyWithValue("description", descriptionOf(workOrders, addressOf));
  if (!isOff) event.addSubcomponent(alarmOf(who.filter(Boolean).join(", ")));
  return event;
}

/** What for, and the way to the sheet. Gate codes and where the key lies stay behind the sign-in: who knows where this is kept. */
function descriptionOf(workOrders: DayVisit["workOrders"], addressOf: (workOrderId: string) => string): string {
  return workOrders
    .map(({ concerns, id }) => [concerns.join("; "), addressOf(id)].filter(Boolean).join("\n"))
    .join("\n");
}

function alarmOf(words: string): ICAL.Component {
  const alarm = new ICAL.Component(["valarm", [], []]);
  alarm.updatePropertyWithValue("action", "DISPLAY");
  alarm.updatePropertyWithValue("trigger", ICAL.Duration.fromString(ALARM));
  alarm.updatePropertyWithValue("description", words);
  return alarm;
}

function inUtc(instant: string): ICAL.Time {
  return ICAL.Time.fromJSDate(new Date(instant), true);
}
