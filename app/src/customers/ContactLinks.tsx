import { Linking } from "react-native";
import type { Customer } from "@mechanon/contract";
import { Button } from "../ui/Button";
import { Mail, MessageSquare, Phone } from "../ui/icons";
import { contactLinks } from "./contactLinks";

const ICONS = { call: Phone, text: MessageSquare, email: Mail } as const;

/** Call, text, email: one press each, the preferred way first. */
export function ContactLinks({ customer }: { customer: Customer }) {
  return contactLinks(customer).map(({ way, label, url }) => (
    <Button key={way} kind="quiet" icon={ICONS[way]} label={label} onPress={() => void Linking.openURL(url)} />
  ));
}
