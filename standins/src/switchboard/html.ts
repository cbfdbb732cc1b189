const ENTITIES: Record<string, string> = { "&": "&amp;", "<": "&lt;", ">": "&gt;", '"': "&quot;", "'": "&#39;" };

export function escapeHtml(text: string): string {
  return text.replace(/[&<>"']/g, (character) => ENTITIES[character] ?? character);
}

/** A page of the simulated outside; plainly not a page of the app. */
export function page(title: string, body: string): string {
  return `<!doctype html><html lang="en"><meta charset="utf-8"><meta name="viewport" content="width=device-width,initial-scale=1"><title>${escapeHtml(title)}</title>
<style>body{font:18px/1.5 system-ui,sans-serif;margin:0 auto;max-width:44rem;padding:1.5rem;color:#111;background:#fff}button,select{font:inherit;min-height:48px;padding:0 1rem}article{border-top:1px solid #767676;padding:1rem 0}a{color:#00464f}small{color:#444}form{display:flex;gap:.5rem;flex-wrap:wrap;align-items:center;margin:1rem 0}</style>
<main><h1>${escapeHtml(title)}</h1>${body}</main></html>`;
}

/** Text with its links made to be opened. */
export function linked(text: string): string {
  return escapeHtml(text).replace(/https?:\/\/[^\s<]+/g, (link) => `<a href="${link}">${link}</a>`);
}
