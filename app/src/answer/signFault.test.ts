import { customerSample } from "../testing/samples";
import { alsoNeeded, signersOf, signFault, type ToSign } from "./signFault";

const contact = {
  ...{ id: "i", name: "Ida", role: "driver", phone: null, email: null },
  ...{ approvalLimitCents: 10_000, mayPay: false, mayHandOverKeys: false },
};
const owner = { ...customerSample(), name: "Maren Oye", contacts: [contact] };
const nobody = { ...owner, contacts: [{ ...contact, approvalLimitCents: 0 }] };
const fine: ToSign = {
  unanswered: [],
  signer: "Maren Oye",
  isAgreeing: true,
  totalCents: 50_000,
  strokes: [[1, 2, 3, 4]],
};

it.each<[string, Partial<ToSign>, typeof owner | null, string | null]>([
  ["all there", {}, owner, null],
  ["two jobs unanswered", { unanswered: ["Wiper blades", "Brakes"] }, owner, "Please answer wiper blades, brakes with yes"],
  ["no name", { signer: "" }, owner, "Please give a name"],
  ["no signature", { strokes: [] }, owner, "Please sign"],
  ["a dot", { strokes: [[5, 5]] }, owner, "Please sign"],
  ["a contact above the limit", { signer: "Ida" }, owner, null],
  ["a contact who may agree to nothing", { signer: "Ida" }, nobody, "Ida may agree to nothing here. Please ask Maren Oye"],
  ["a contact who may not, and does not agree", { signer: "Ida", isAgreeing: false }, nobody, null],
  ["nobody known yet", {}, null, null],
])("%s", (_name, over, of, words) => {
  const fault = signFault("en", { ...fine, ...over }, of);
  if (words === null) expect(fault).toBeNull();
  else expect(fault).toContain(words);
}); // prettier-ignore

it("needs the owner's yes beside that of whoever may agree to less", () => {
  expect(alsoNeeded({ ...fine, signer: "Ida" }, owner)).toEqual({ name: "Maren Oye", limit: "$100.00" });
  expect(alsoNeeded({ ...fine, signer: "Ida", totalCents: 10_000 }, owner)).toBeNull();
  expect(alsoNeeded({ ...fine, signer: "Ida", isAgreeing: false }, owner)).toBeNull();
  expect(alsoNeeded(fine, owner)).toBeNull();
  expect(signersOf(owner)).toEqual(["Maren Oye", "Ida"]);
});
