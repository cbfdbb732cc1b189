import { Linking } from "react-native";
import type { Customer } from "@mechanon/contract";
import { IconLink } from "../ui/IconLink";
import { Mail, MessageSquare, Phone } from "../ui/icons";
import { contactLinks } from "./contactLinks";

const WAYS = {
  call: { icon: Phone, label: "Call" },
  text: { icon: MessageSquare, label: "Text" },
  email: { icon: Mail, label: "Email" },
} as const;

/** Call, text, email as signs with their names, the preferred way first. */
export function ContactIcons({ customer }: { customer: Customer }) {
  return contactLinks(customer).map(({ way, url }) => (
    <IconLink key={way} {...WAYS[way]} onPress={() => void Linking.openURL(url)} />
  ));
}
