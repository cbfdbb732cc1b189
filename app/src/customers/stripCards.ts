import {
  carMarks,
  differingMarks,
  mainPhone,
  mainPlace,
  matchMarks,
  readSearch,
  showPhone,
  showPlace,
  showVehicle,
} from "@mechanon/core";
import type { FoundCustomer, LikelySame } from "@mechanon/contract";
import type { StripCard } from "./KnownStrip";
import { likenessLine } from "./likenessWords";

/** Somebody found by what was typed, with what of it matched set off. */
export function foundCard(
  found: FoundCustomer,
  { typed, odd }: { typed: string; odd: readonly string[] },
  onPress: () => void,
): StripCard {
  const query = readSearch(typed);
  const { customer, vehicles, vehicleCount, openWork, foundBy } = found;
  const marked = (text: string) => ({
    text,
    marks: found.isNear ? differingMarks(typed, text) : matchMarks(query, text),
  });
  const phone = mainPhone(customer);
  const [car] = vehicles;
  const more = vehicleCount > 1 ? `, ${vehicleCount - 1} more` : "";
  const open = openWork.length > 0 ? `○ Open: ${openWork.map(({ number }) => number).join(", ")}` : "";
  const lines = [
    found.isNear ? "one sign differs:" : "",
    odd.length > 0 ? `without “${odd.join(" ")}”` : "",
    [customer.knownFrom, phone ? showPhone(phone.number, phone.extension) : ""].filter(Boolean).join(" · "),
    ...foundBy.map(({ text }) => text),
    car ? [`${showVehicle(car)}${more}`, car.plate ?? "", carMarks(car)].filter(Boolean).join(" · ") : "",
    open,
  ].filter(Boolean);
  return {
    id: customer.id,
    spoken: `${found.isNear ? "Nearly that" : "Known"}: ${customer.name}`,
    title: marked(customer.name),
    lines: lines.map(marked),
    onPress,
  };
}

/** None of those likely the same: it is somebody new. */
export function noneCard(onPress: () => void): StripCard {
  const spoken = "None of these, somebody new";
  return { id: "none", spoken, title: { text: "None of these" }, lines: [{ text: "somebody new" }], onPress };
}

/** Somebody who may be the same, with why. */
export function likelyCard({ customer, likenesses, cars }: LikelySame, onPress: () => void): StripCard {
  const place = mainPlace(customer);
  const why = likenessLine(likenesses);
  const lines = [why, place ? showPlace(place) : "", cars.join(", ")].filter(Boolean);
  return {
    id: customer.id,
    spoken: `Same as ${customer.name}, ${why}`,
    title: { text: customer.name },
    lines: lines.map((text) => ({ text })),
    onPress,
  };
}
