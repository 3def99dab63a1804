import { CABLES } from '../core/gear/cables';
import { MODELS } from '../core/gear/catalogue';
import type { Family, ParamSpec } from '../core/gear/types';
import { formatQuantity } from '../core/units/format';
import { toDbu } from '../core/units/quantity';
import { formatNumber } from '../core/units/format';
import { CABLE_NAMES, choiceName, modelName, PLUG_NAMES, settingName } from '../core/words/names';

const TITLES: Readonly<Record<Family, string>> = {
  source: 'Sources',
  box: 'Boxes',
  input: 'Inputs',
  joint: 'Adapters and couplers'
};

/** Every model with its values, least–usual–most, as Markdown. */
export function modelsTable(): { data: unknown; text: string } {
  const families = (['source', 'box', 'input', 'joint'] as const).map((family) => {
    const rows = MODELS.filter((m) => m.family === family).map((m) => {
      const ports = m.ports.map((p) => `${p.id}: ${PLUG_NAMES[p.socket]}, ${p.carries}`).join('; ');
      const values = Object.entries(m.params).map(([name, spec]) => `${settingName(name)} ${spread(spec)}`);
      const switches = Object.entries(m.options).map(
        ([name, o]) =>
          `${settingName(name)}: ${o.choices.map((c) => (c === o.default ? `**${choiceName(name, c)}**` : choiceName(name, c))).join(', ')}`
      );
      return `### ${modelName(m.id)} (\`${m.id}\`)\n\n${ports}\n\n${[...values, ...switches].map((v) => `- ${v}`).join('\n')}\n`;
    });
    return `## ${TITLES[family]}\n\n${rows.join('\n')}`;
  });
  const cables = Object.values(CABLES).map(
    (c) =>
      `- ${CABLE_NAMES[c.id]} (\`${c.id}\`), ${c.cores} ${c.cores === 1 ? 'core' : 'cores'}: ${Object.entries(c.params)
        .map(([name, spec]) => `${settingName(name)} ${spread(spec)}`)
        .join('; ')}`
  );
  return {
    data: MODELS.map(({ id, family, params, options, ports }) => ({ id, family, params, options, ports })),
    text: [...families, `## Cables\n\n${cables.join('\n')}`].join('\n')
  };
}

function spread({ quantity, min, typ, max }: ParamSpec): string {
  const show = (v: number): string =>
    quantity === 'level' && v > 0 ? `${formatNumber(toDbu(v), 1, true)}\u202FdBu` : formatQuantity(quantity, v, 3);
  return min === typ && typ === max ? show(typ) : `${show(min)} – ${show(typ)} – ${show(max)}`;
}
