import { ofPerson, reach } from "../api/call";

/**
 * Hands a PDF to the browser's own print dialog.
 * @throws {ApiProblem} when the server says no, {Unreachable} when it says nothing.
 */
export async function printPdf(address: string): Promise<void> {
  const response = await reach(address, { headers: ofPerson() });
  const uri = URL.createObjectURL(await response.blob());
  const frame = document.createElement("iframe");
  frame.style.display = "none";
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
