import { ofPerson, reach } from "../api/call";

/**
 * Hands a PDF to the browser's own print dialog.
 * @throws {ApiProblem} when the server says no, {Unreachable} when it says nothing.
 */
export async function printPdf(address: string): Promise<void> {
  const response = await reach(address, { headers: ofPerson() });
  const uri = URL.createObjectURL(await response.blob());
  const frame = document.createElement("iframe");
  // Out of sight, but there: a frame that is not displayed is printed by no browser but some.
  Object.assign(frame.style, { position: "absolute", width: "0", height: "0", border: "0", visibility: "hidden" });
  frame.title = "Print";
  frame.src = uri;
  frame.onload = () => {
    const shown = frame.contentWindow;
    shown?.focus();
    shown?.print();
  };
  // The dialog reads from it for as long as it is open: what was printed before goes with the next.
  document.querySelectorAll("iframe[data-print]").forEach((before) => before.remove());
  frame.dataset.print = "";
  document.body.append(frame);
}
