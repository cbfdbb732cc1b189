import { useQuery } from "@tanstack/react-query";
import { useRouter } from "expo-router";
import { useState } from "react";
import { Linking, StyleSheet, View } from "react-native";
import { MessageSquare, Phone } from "../ui/icons";
import { showPhone, showVehicle } from "@mechanon/core";
import { routes, type Customer } from "@mechanon/contract";
import { call } from "../api/call";
import { errorWords, fieldFaults } from "../api/problem";
import { WorkOrderLine } from "../day/WorkOrderLine";
import { CarFacts } from "../newWork/CarFacts";
import { useDraft } from "../newWork/draft";
import { isNowhere, nowhere } from "../work/nowhere";
import { Button } from "../ui/Button";
import { Field } from "../ui/Field";
import { Heading } from "../ui/Heading";
import { Notice } from "../ui/Notice";
import { Screen } from "../ui/Screen";
import { SPACE } from "../ui/theme";
import { Waiting } from "../ui/Waiting";
import { Words } from "../ui/Words";

/** A customer with cars and all work, open and done. */
export function CustomerSheet({ id }: { id: string }) {
  const router = useRouter();
  const { change, clear } = useDraft();
  const { data, error, refetch } = useQuery({
    queryKey: ["customer", id],
    queryFn: () => call(routes.getCustomer, { params: { id } }),
  });
  const [isEditing, setEditing] = useState(false);
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
  const { customer, vehicles, workOrders } = data;
  const phone = customer.phone;
  const startWork = (): void => {
    clear();
    const [only] = vehicles;
    change({ known: customer, car: vehicles.length === 1 && only ? { kind: "kept", vehicle: only } : null });
    router.navigate("/new");
  };
  return (
    <Screen
      title={customer.name}
      foot={
        <Button kind="next" label={`New work order for ${customer.name.split(" ")[0] ?? ""}`} onPress={startWork} />
      }
    >
      <Heading level={1}>{customer.name}</Heading>
      <View style={styles.links}>
        {phone ? (
          <Button
            kind="quiet"
            icon={Phone}
            label={showPhone(phone)}
            onPress={() => void Linking.openURL(`tel:${phone}`)}
          />
        ) : null}
        {phone ? (
          <Button kind="quiet" icon={MessageSquare} label="Text" onPress={() => void Linking.openURL(`sms:${phone}`)} />
        ) : null}
        <Button kind="quiet" label={isEditing ? "Leave it" : "Change"} onPress={() => setEditing(!isEditing)} />
      </View>
      {isEditing ? (
        <Edit
          key={customer.version}
          customer={customer}
          onDone={() => {
            setEditing(false);
            void refetch();
          }}
        />
      ) : null}
      {customer.email ? <Words>{customer.email}</Words> : null}
      {customer.place ? (
        <Words>{`${customer.place.street}, ${customer.place.town}, ${customer.place.region} ${customer.place.postcode}`}</Words>
      ) : null}
      <Heading level={2}>Cars</Heading>
      {vehicles.length === 0 ? <Words tone="muted">No car yet. It comes with the first work order.</Words> : null}
      {vehicles.map((vehicle) => (
        <View key={vehicle.id}>
          <Words strong>{showVehicle(vehicle)}</Words>
          <CarFacts car={vehicle} />
        </View>
      ))}
      <Heading level={2}>Work</Heading>
      {workOrders.length === 0 ? <Words tone="muted">No work yet.</Words> : null}
      {workOrders.map((order) => (
        <WorkOrderLine key={order.id} order={order} showWait />
      ))}
    </Screen>
  );
}

function Edit({ customer, onDone }: { customer: Customer; onDone: () => void }) {
  const [values, setValues] = useState({
    name: customer.name,
    phone: customer.phone ? showPhone(customer.phone) : "",
    email: customer.email ?? "",
  });
  const [place, setPlace] = useState(customer.place ?? nowhere());
  const [fault, setFault] = useState<unknown>(null);
  const faults = fieldFaults(fault);
  const save = async (): Promise<void> => {
    try {
      await call(routes.changeCustomer, {
        params: { id: customer.id },
        body: { ...values, place: isNowhere(place) ? null : place, version: customer.version },
      });
      onDone();
    } catch (error) {
      setFault(error);
    }
  };
  return (
    <View style={styles.edit}>
      <Field
        label="Name or business"
        value={values.name}
        onChangeText={(name) => setValues({ ...values, name })}
        error={faults.name}
        maxLength={300}
      />
      <Field
        label="Phone"
        inputMode="tel"
        value={values.phone}
        onChangeText={(phone) => setValues({ ...values, phone })}
        error={faults.phone}
        maxLength={40}
      />
      <Field
        label="Email"
        inputMode="email"
        autoCapitalize="none"
        value={values.email}
        onChangeText={(email) => setValues({ ...values, email })}
        error={faults.email}
        maxLength={254}
      />
      <Field
        label="Street and number"
        value={place.street}
        onChangeText={(street) => setPlace({ ...place, street, latitude: null, longitude: null })}
        maxLength={200}
      />
      <Field label="Town" value={place.town} onChangeText={(town) => setPlace({ ...place, town })} maxLength={100} />
      <Field
        label="State"
        value={place.region}
        onChangeText={(region) => setPlace({ ...place, region })}
        maxLength={40}
      />
      <Field
        label="Postcode"
        value={place.postcode}
        onChangeText={(postcode) => setPlace({ ...place, postcode })}
        maxLength={20}
      />
      {fault ? <Notice text={errorWords(fault)} /> : null}
      <Button label="Save" onPress={() => void save()} />
    </View>
  );
}

const styles = StyleSheet.create({
  links: { flexDirection: "row", flexWrap: "wrap", columnGap: SPACE.s },
  edit: { gap: SPACE.m },
});
