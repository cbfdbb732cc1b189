import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { StyleSheet, View } from "react-native";
import { v7 as uuid } from "uuid";
import {
  refusalWords,
  showVehicle,
  swapStakes,
  swapWords,
  type ClientWorkOrderCommand,
  type SwapChoice,
  showCustomer,
} from "@mechanon/core";
import { routes, type Vehicle, type WorkOrderView } from "@mechanon/contract";
import { call } from "../api/call";
import { errorWords } from "../api/problem";
import { CustomerSearch } from "../search/CustomerSearch";
import { keepChange } from "../sync/store";
import { Button } from "../ui/Button";
import { Choices } from "../ui/Choices";
import { useColors } from "../ui/face";
import { Notice } from "../ui/Notice";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import { NewCarPart } from "./NewCarPart";

/** What it is swapped for. */
type Target =
  | { kind: "vehicle"; id: string; name: string }
  | { kind: "detach"; id: null; name: string }
  | { kind: "customer"; id: string; name: string };

/** The wrong car or customer on a running work order: swapped or taken off, with what that means said before. */
export function SwapPart({ view, isUnsent }: { view: WorkOrderView; isUnsent: boolean }) {
  const colors = useColors();
  const { state, customer, vehicle } = view;
  const [what, setWhat] = useState<"vehicle" | "customer" | null>(null);
  const [others, setOthers] = useState<Vehicle[]>([]);
  const [target, setTarget] = useState<Target | null>(null);
  const [keepFindings, setKeepFindings] = useState(false);
  const [keepAnswers, setKeepAnswers] = useState(false);
  const [isFinding, setFinding] = useState(false);
  const [fault, setFault] = useState<string | null>(null);
  const { data } = useQuery({
    queryKey: ["customer", customer?.id],
    queryFn: () => call(routes.getCustomer, { params: { id: customer?.id ?? "" } }),
    enabled: what === "vehicle" && customer !== null,
  });
  const stakes = swapStakes(state);
  const leave = (): void => {
    setWhat(null);
    setTarget(null);
    setFinding(false);
    setFault(null);
  };
  const swap = async ({ kind, id }: Target): Promise<void> => {
    const command: ClientWorkOrderCommand =
      kind === "customer"
        ? { type: "changeCustomer", customerId: id, keepAnswers }
        : { type: "changeVehicle", vehicleId: id, keepFindings, keepAnswers };
    try {
      const { outcomes, change } = await call(routes.sendWorkOrderCommands, {
        params: { id: state.id },
        body: { commands: [{ id: uuid(), at: new Date().toISOString(), command }] },
      });
      const refusal = outcomes[0]?.refusal;
      if (refusal) return setFault(refusalWords(refusal));
      await keepChange(change);
      leave();
    } catch (error) {
      setFault(errorWords(error));
    }
  };
  if (what === null)
    return (
      <View style={styles.row}>
        <Button
          kind="quiet"
          label={vehicle ? "Wrong car?" : "Choose the car"}
          onPress={() => setWhat("vehicle")}
          testID="swap-car"
        />
        <Button
          kind="quiet"
          label={customer ? "Wrong customer?" : "Say whose it is"}
          onPress={() => setWhat("customer")}
          testID="swap-customer"
        />
      </View>
    );
  if (isUnsent)
    return (
      <Notice
        kind="note"
        text="Something on this work order is not sent yet. Swap when it has arrived."
        action={{ label: "Leave it", onPress: leave }}
      />
    );
  const choice: SwapChoice = { kind: target?.kind ?? "vehicle", keepFindings, keepAnswers };
  return (
    <View style={[styles.box, { borderColor: colors.petrol }]}>
      {fault ? <Notice text={fault} /> : null}
      {target === null ? (
        <>
          {what === "vehicle" ? (
            <>
              <Words strong>Which car is it?</Words>
              {[...(data?.vehicles ?? []), ...others]
                .filter(({ id }, index, all) => id !== vehicle?.id && all.findIndex((car) => car.id === id) === index)
                .map((car) => (
                  <Button key={car.id} label={carName(car)} onPress={() => setTarget(carTarget(car))} />
                ))}
              <CustomerSearch
                label="Or a car of somebody else, by plate, VIN or name"
                verb="Cars of"
                onChoose={({ vehicles }) => {
                  setOthers(vehicles);
                  setFault(
                    vehicles.length > 0
                      ? null
                      : "No car is kept for them. Choose one that is not kept here yet, or another customer.",
                  );
                }}
              />
              {isFinding ? (
                <NewCarPart
                  customer={customer}
                  onKept={(car) => {
                    setFinding(false);
                    setOthers([...others, car]);
                    setTarget(carTarget(car));
                  }}
                />
              ) : customer ? (
                <Button
                  label="A car that is not kept here yet"
                  onPress={() => setFinding(true)}
                  testID="swap-new-car"
                />
              ) : null}
              {vehicle ? (
                <Button
                  label="None of these: take the car off"
                  onPress={() => setTarget({ kind: "detach", id: null, name: "no car" })}
                />
              ) : null}
            </>
          ) : (
            <CustomerSearch
              label="Whose work order is it?"
              verb="Choose"
              onChoose={({ customer: { id, name } }) => setTarget({ kind: "customer", id, name })}
            />
          )}
          <Button kind="quiet" label="Leave it as it is" onPress={leave} />
        </>
      ) : (
        <>
          <Words
            strong
          >{`${view.number}: ${target.kind === "customer" ? showCustomer(customer) : showVehicle(vehicle)} becomes ${target.name}`}</Words>
          {target.kind !== "customer" && (stakes.findings > 0 || stakes.odometerMiles !== null) ? (
            <YesNo
              label="Was the right car looked at?"
              yes="Yes, only the record was wrong"
              no="No, it was the other car"
              value={keepFindings}
              onChange={setKeepFindings}
            />
          ) : null}
          {stakes.answers > 0 ? (
            <YesNo
              label="Do the answers still hold?"
              yes="Yes, they were meant for this"
              no="No, ask anew"
              value={keepAnswers}
              onChange={setKeepAnswers}
            />
          ) : null}
          <View role="list" aria-label="What this means">
            {swapWords(stakes, choice).map((words) => (
              <View key={words} role="listitem">
                <Words>{`• ${words}`}</Words>
              </View>
            ))}
          </View>
          <Button
            label={target.kind === "detach" ? "Take the car off" : `Make it ${target.name}`}
            onPress={() => void swap(target)}
            testID="swap"
          />
          <Button kind="quiet" label="Leave it as it is" onPress={leave} />
        </>
      )}
    </View>
  );
}

function carName(car: Vehicle): string {
  return `${showVehicle(car)}, ${car.plate ?? "no plate"}`;
}

function carTarget(car: Vehicle): Target {
  return { kind: "vehicle", id: car.id, name: carName(car) };
}

function YesNo({
  label,
  yes,
  no,
  value,
  onChange,
}: {
  label: string;
  yes: string;
  no: string;
  value: boolean;
  onChange: (value: boolean) => void;
}) {
  return (
    <View style={styles.list}>
      <Words size="small" strong>
        {label}
      </Words>
      <Choices
        label={label}
        options={[
          { value: "yes", label: yes },
          { value: "no", label: no },
        ]}
        value={value ? "yes" : "no"}
        onChoose={(chosen) => onChange(chosen === "yes")}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: "row", flexWrap: "wrap", columnGap: SPACE.s },
  box: { borderLeftWidth: 4, paddingLeft: SPACE.m, gap: SPACE.s },
  list: { gap: SPACE.xs },
});
