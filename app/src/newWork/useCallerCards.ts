import { useQuery } from "@tanstack/react-query";
import { useDeferredValue } from "react";
import { readPhone, showPlace } from "@mechanon/core";
import type { StripCard } from "../customers/KnownStrip";
import { foundCard, likelyCard, noneCard } from "../customers/stripCards";
import { useDirectory } from "../customers/useDirectory";
import { useLikelySame } from "../customers/useLikelySame";
import { carMeant } from "./carMeant";
import { useDraft } from "./draft";
import { placeTyped } from "./readDraft";
import { askSearch } from "../search/askSearch";

const FEWEST_LETTERS = 2;
const FEWEST_DIGITS = 4;
const MOST_MATCHES = 6;

/**
 * Who the caller may be, by what stands typed: the surely same first, then who matches the phone or the name, who nearly
 * does after them, and what the directory says of a number nobody here has.
 */
export function useCallerCards(): { cards: StripCard[]; instead: string } {
  const { draft, change } = useDraft();
  const { name, phone } = draft;
  const likely = useLikelySame(
    {
      name,
      phones: [{ number: phone }],
      emails: [{ address: draft.email }],
      serviceAddresses: draft.street === "" ? [] : [{ id: draft.customerId, place: placeTyped(draft) }],
    },
    draft.customerId,
    draft.known === null,
  ).filter(({ customer }) => !draft.notTheSameAs.includes(customer.id));
  const byName = { typed: name, ...useFound(name, FEWEST_LETTERS) };
  const byPhone = { typed: phone, ...useFound(phone, FEWEST_DIGITS) };
  const entry = useDirectory(name === "" ? phone : "");
  const cards = [
    ...likely.map((each) => likelyCard(each, () => change({ known: each.customer, car: null }))),
    ...[false, true].flatMap((isNear) =>
      [byPhone, byName].flatMap(({ typed, found, odd }) =>
        found
          .filter((each) => each.isNear === isNear)
          .map((each) =>
            foundCard(each, { typed, odd }, () => change({ known: each.customer, car: carMeant(each, typed.trim()) })),
          ),
      ),
    ),
  ];
  const known = cards.filter(({ id }, index) => cards.findIndex((other) => other.id === id) === index);
  const listed: StripCard[] = entry
    ? [
        {
          id: "directory",
          spoken: `Directory: ${entry.name}, ${showPlace(entry)}. Use it`,
          title: { text: entry.name },
          lines: [{ text: "in the phone directory" }, { text: showPlace(entry) }],
          onPress: () => change({ ...entry, latitude: null, longitude: null }),
        },
      ]
    : [];
  const likelyIds = likely.map(({ customer }) => customer.id);
  const none = noneCard(() => change({ notTheSameAs: [...draft.notTheSameAs, ...likelyIds] }));
  const isAsked = name.trim().length >= FEWEST_LETTERS || readPhone(phone) !== null;
  return {
    cards: [...known, ...listed, ...(likelyIds.length > 0 ? [none] : [])],
    instead: isAsked ? "Nobody here yet by that name or phone." : "Whoever is known here shows up in this place.",
  };
}

function useFound(typed: string, fewest: number) {
  const query = useDeferredValue(typed.trim());
  const isLong = query.length >= fewest;
  const { data } = useQuery({
    queryKey: ["search", query],
    queryFn: () => askSearch(query),
    // Without a connection it is looked for on this device.
    networkMode: "always",
    enabled: isLong,
    placeholderData: (before) => before,
  });
  return {
    found: isLong ? (data?.customers.slice(0, MOST_MATCHES) ?? []) : [],
    odd: isLong ? (data?.oddWords ?? []) : [],
  };
}
