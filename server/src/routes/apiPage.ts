import { TOOLS, inputSchema } from '@plinth/core';

const escape = (text: string) => text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;');

/** A plain page of the calculations for a person: no script, made from the same declarations as the OpenAPI document. */
export function apiPage(): string {
  const tools = [...TOOLS.values()];
  const sections = tools.map((tool) => {
    const schema = inputSchema(tool) as { properties?: Record<string, { description?: string }>; required?: string[] };
    const rows = Object.entries(schema.properties ?? {}).map(
      ([name, field]) =>
        `<tr><td><code>${escape(name)}</code></td><td>${escape(field.description ?? '')}</td><td>${schema.required?.includes(name) ? 'required' : ''}</td></tr>`,
    );
    return `<section id="${tool.id}"><h2>${escape(tool.title)}</h2><p><code>POST /api/tools/${tool.id}</code> &nbsp; <code>./plinth calc ${tool.id}</code></p><p>${escape(tool.summary)}</p><table><thead><tr><th>field</th><th>meaning</th><th></th></tr></thead><tbody>${rows.join('')}</tbody></table><details><summary>Example</summary><pre>${escape(JSON.stringify(tool.example, null, 2))}</pre></details></section>`;
  });
  return `<!doctype html><html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width"><title>Calculations · Lofty Plinth</title><style>
body{font:15px/1.5 sans-serif;color:#23262b;background:#fbfaf6;max-width:60rem;margin:2rem auto;padding:0 1rem}h1{font-size:1.5rem}h2{font-size:1.1rem;border-top:1px solid #c9c6bd;padding-top:1rem;margin-top:2rem}
table{border-collapse:collapse;width:100%}td,th{text-align:left;padding:.25rem .75rem .25rem 0;border-bottom:1px solid #e4e1d8;vertical-align:top}pre{background:#f2efe7;padding:.75rem;overflow:auto}a{color:#8f3717}</style></head><body>
<h1>Calculations</h1><p>Each is run by HTTP, by the terminal and by the screens alike. Numbers are in N, mm and MPa; text with a unit is read. <a href="/api/openapi.json">OpenAPI document</a>. Results must be confirmed by a licensed engineer.</p>
<ul>${tools.map((tool) => `<li><a href="#${tool.id}">${tool.id}</a>: ${escape(tool.title)}</li>`).join('')}</ul>${sections.join('')}</body></html>`;
}
