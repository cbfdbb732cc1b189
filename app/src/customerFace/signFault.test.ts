import { customerSample } from "../testing/samples";
import { signFault, type ToSign } from "./signFault";

const contact = {
  id: "i",
  name: "Ida",
  role: "driver",
  phone: null,
  email: null,
  approvalLimitCents: 10_000,
  mayPay: false,
  mayHandOverKeys: false,
};
const customer = { ...customerSample(), name: "Maren Oye", contacts: [contact] };
const fine: ToSign = {
  unanswered: [],
  signer: "Maren Oye",
  customer,
  isAgreeing: true,
  totalCents: 50_000,
  hasSignature: true,
};

it.each<[string, Partial<ToSign>, string | null]>([
  ["all there", {}, null],
  ["two jobs unanswered", { unanswered: ["Wiper blades", "Brakes"] }, "Please answer wiper blades, brakes with yes"],
  ["no name", { signer: "" }, "Please give a name"],
  ["no signature", { hasSignature: false }, "Please sign"],
  ["a contact above the limit", { signer: "Ida" }, "Ida may agree to up to $100.00. Please ask Maren Oye"],
  ["a contact at the limit", { signer: "Ida", totalCents: 10_000 }, null],
  ["a contact who agrees to nothing", { signer: "Ida", isAgreeing: false }, null],
  [
    "a contact who may agree to nothing",
    { signer: "Ida", customer: { ...customer, contacts: [{ ...contact, approvalLimitCents: 0 }] } },
    "Ida may agree to nothing here.",
  ],
  ["nobody known yet", { customer: null }, null],
])("%s", (_name, over, words) => {
  const fault = signFault({ ...fine, ...over });
  if (words === null) expect(fault).toBeNull();
  else expect(fault).toContain(words);
});
