import type { Brief, Panel, Wall } from '../building';
import { profileOf, type Family } from '../family';
import { formatQuantity } from '../quantity';
import { trimmedArea } from '../takedown';

interface Taken {
  readonly key: string;
  readonly text: string;
  readonly reason: string;
}

const degreesOf = (angle: number) => +((angle * 180) / Math.PI).toFixed(1);
const downTo = (depth: Wall['spreadDepth']) => (depth === 'half' ? ', down to half the height of the wall and no wider below' : '');

/** At which angle point loads spread: as the codes of the project say, or otherwise, with what they say. */
function spreadAssumption({ spreadAngle, spreadDepth }: Wall, family: Family): Taken {
  const { title, wallSpread } = profileOf(family);
  const text = `Point loads spread through the wall at ${degreesOf(spreadAngle)} degrees from the vertical${downTo(spreadDepth)}; where the wall ends they keep their line of action.`;
  const sound = 'It wants coursed masonry with sound mortar and no joint that slips.';
  if (Math.abs(spreadAngle - wallSpread.angle) < 1e-3 && spreadDepth === wallSpread.depth)
    return { key: 'spread-angle', text, reason: `As ${wallSpread.source} has it. ${sound}` };
  const isWider = spreadAngle > wallSpread.angle + 1e-3 || (spreadAngle > wallSpread.angle - 1e-3 && spreadDepth === 'whole');
  return {
    key: `spread-angle-${degreesOf(spreadAngle)}-${spreadDepth}`,
    text,
    reason: `${title}: ${degreesOf(wallSpread.angle)} degrees${downTo(wallSpread.depth)} (${wallSpread.source}). ${
      isWider ? 'This is wider: less load per length on what is below. ' : ''
    }${sound}`,
  };
}

/** What the takedown of a wall takes for true. */
export function wallAssumptions(wall: Wall, { family, units }: Pick<Brief, 'family' | 'units'>): Taken[] {
  const list: Taken[] = [
    {
      key: 'not-designed',
      text: 'The strength and stability of the wall are proved elsewhere.',
      reason: 'Its weight and its load are taken down; masonry is not designed here.',
    },
  ];
  if (!wall.weightGiven && wall.buildUp === null)
    list.push({
      key: 'weight',
      text: `The wall weighs ${formatQuantity(wall.weight, 'areaLoad', units)} of its face: a usual weight that nobody has typed.`,
      reason:
        'Masonry above a beam is often the largest load that it carries. Look up its thickness, leaves and finishes, and type its weight.',
    });
  if (wall.spread === 'angle') list.push(spreadAssumption(wall, family));
  else if (wall.spread === 'whole')
    list.push({
      key: 'spread-whole',
      text: 'The wall carries as one stiff piece: load spreads over its whole length with its line of action kept.',
      reason: 'A short wall, stiff against bending in its plane.',
    });
  else
    list.push({
      key: 'spread-even',
      text: 'Load is spread evenly over the whole wall, whatever its line of action.',
      reason: 'The line of action moves to the middle of the wall: the ends may get more than is calculated.',
    });
  if (wall.openings.length > 0)
    list.push(
      wall.openingsRule === 'ignored'
        ? {
            key: 'openings-ignored',
            text: 'Openings are ignored in spreading load; their weight is left out.',
            reason: 'Beside an opening the wall presses more than is calculated.',
          }
        : {
            key: 'openings-around',
            text: 'Load over an opening goes to the bearings of its lintel and spreads from there.',
            reason: 'The lintel itself is not designed here.',
          },
    );
  return list;
}

/** What the sharing of a panel takes for true. */
export function panelAssumptions(panel: Panel, { units }: Pick<Brief, 'units'>): Taken[] {
  if (panel.span === 'twoWay')
    return [
      {
        key: 'two-way',
        text: 'The panel carries two ways: each part to its nearest edge, or to the nearest beam or wall inside it.',
        reason: 'A slab reinforced both ways and held on all sides; joists and decks carry one way.',
      },
    ];
  const bridged = panel.openings.filter((opening) => opening.bridged);
  const bridging = bridged.map((opening, i): Taken => {
    const area = formatQuantity(trimmedArea(panel, opening.outline), 'floorArea', units, { figures: 3 });
    return {
      key: `bridged-${i + 1}`,
      text: `${opening.label || `Opening ${i + 1}`} has no trimmers: the strips beside it carry the load of the strips that it cuts, ${area} of floor.`,
      reason:
        'Each side takes half of it beside its own load: an opening small beside the span, with bars or joists added on both sides of it.',
    };
  });
  const hanging: Taken[] = panel.cantilevers
    ? [
        {
          key: 'cantilevers',
          text: 'Where it has one support only the panel cantilevers from that: the support carries all of its load, with its moment as torsion.',
          reason:
            'A slab that is continuous with the floor behind is to be drawn with it as one panel: the reaction at the support is then larger, with uplift at the one behind.',
        },
      ]
    : [];
  return [
    ...bridging,
    ...hanging,
    panel.continuity === 'continuous'
      ? {
          key: 'continuous',
          text: 'The panel runs on over its inner supports with one stiffness.',
          reason: 'Inner supports take more, end supports less; sheets and joists must really pass over.',
        }
      : {
          key: 'simple-spans',
          text: 'The panel is taken as simple spans between its supports.',
          reason: 'If joists or sheets run on over an inner support it takes up to a quarter more than is calculated.',
        },
  ];
}
