/**
 * An end of a phone or mail, enough to know it again and too little to learn it.
 * @example
 * reachHint("text", "+13605550142") //=> "…42"
 */
export function reachHint(channel: "text" | "mail", recipient: string): string {
  if (channel === "text") return `…${recipient.slice(-2)}`;
  const [name = "", domain = ""] = recipient.split("@");
  return `${name.slice(0, 1)}…@${domain.slice(0, 1)}…${domain.slice(domain.lastIndexOf("."))}`;
}
