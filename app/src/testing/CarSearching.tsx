import { useState, type ReactNode } from "react";
import { CarSearchContext, emptyCarSearch, type CarSearch, type CarSearchHolder } from "../carFinder/carSearch";

export interface CarSearchingProps extends Partial<CarSearchHolder> {
  onChange: (search: CarSearch) => void;
  children: ReactNode;
}

/** A search for a car to put parts of the finder in: keeps what is typed, and tells every change. */
export function CarSearching({ onChange, children, ...over }: CarSearchingProps) {
  const [search, setSearch] = useState(emptyCarSearch);
  const change = (part: Partial<CarSearch>): void => {
    setSearch({ ...search, ...part });
    onChange({ ...search, ...part });
  };
  return (
    <CarSearchContext value={{ search, change, caller: { id: null, name: "" }, ...over }}>{children}</CarSearchContext>
  );
}
