import { Linking } from "react-native";
import { showPhone } from "@mechanon/core";
import { useBusiness } from "../session/useSession";
import { Button } from "../ui/Button";
import { Phone } from "../ui/icons";

/** Calling the suppliers, where their own service cannot be asked. */
export function CallSupplier() {
  return (useBusiness()?.suppliers ?? []).flatMap(({ id, name, phone }) =>
    phone === null
      ? []
      : [
          <Button
            key={id}
            kind="quiet"
            icon={Phone}
            label={`Call ${name}, ${showPhone(phone)}`}
            onPress={() => void Linking.openURL(`tel:${phone}`)}
          />,
        ],
  );
}
