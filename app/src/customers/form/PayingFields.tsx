import { useWatch, type UseFormSetValue } from "react-hook-form";
import { StyleSheet, View } from "react-native";
import type { CustomerFields } from "@mechanon/contract";
import { SPACE } from "../../ui/theme";
import { Tick } from "../../ui/Tick";
import { Words } from "../../ui/Words";
import { useRight } from "../../session/useSession";
import { FormField } from "../../ui/FormField";
import type { CustomerControl } from "./customerControl";

/** Exempt from tax, and who usually pays. */
export function PayingFields({
  control,
  setValue,
}: {
  control: CustomerControl;
  setValue: UseFormSetValue<CustomerFields>;
}) {
  const mayChangePrices = useRight("changePrices");
  const [exemption, payer] = useWatch({ control, name: ["taxExemption", "usualPayer"] });
  return (
    <View style={styles.list}>
      {mayChangePrices ? (
        <>
          <Tick
            label="Exempt from sales tax"
            value={Boolean(exemption)}
            onChange={(on) => setValue("taxExemption", on ? { number: "" } : null)}
          />
          {exemption ? (
            <FormField control={control} name="taxExemption.number" label="Number of the exemption" maxLength={60} />
          ) : null}
        </>
      ) : (
        <Words tone="muted">
          {exemption ? `Exempt from sales tax, ${exemption.number}. ` : ""}
          Whoever may change prices says who is exempt from sales tax.
        </Words>
      )}
      <Tick
        label="Somebody else usually pays"
        value={Boolean(payer)}
        onChange={(on) => setValue("usualPayer", on ? { name: "", customerId: null } : null)}
      />
      {payer ? (
        <FormField
          control={control}
          name="usualPayer.name"
          label="Who pays"
          placeholder="Employer, landlord, warranty"
          maxLength={300}
        />
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({ list: { gap: SPACE.s } });
