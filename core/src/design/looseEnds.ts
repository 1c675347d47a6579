import { faceWeight, overlap, planLength, storeyOf, wallHeight, type Building, type Panel, type PlanPoint } from '../building';
import { areaLoads, variableTotal } from '../load';
import { quantitySaid, contains, type LooseEnd, type Takedown } from '../takedown';
import { offAxis } from './offAxis';

/** What a careful reader of the survey would ask, beside what the takedown could not carry. */
export function surveyLooseEnds(building: Building, takedown: Takedown): LooseEnd[] {
  return new SurveyReader().read(building, takedown);
}

/** Reads the survey again and again as it is edited: each question is asked again when something changed that it looks at. */
export class SurveyReader {
  private readonly answers = new Map<string, { readonly lookedAt: readonly unknown[]; readonly ends: readonly LooseEnd[] }>();
  private run = 0;

  /** @param same true when the takedown handed the same to the same members as the last time */
  read(building: Building, takedown: Takedown, same = false): LooseEnd[] {
    if (!same) this.run += 1;
    const { walls, panels, buildUps, notes, columns, hangers, footings, brief } = building;
    const ask = (name: string, lookedAt: readonly unknown[], make: () => LooseEnd[]) => {
      const known = this.answers.get(name);
      if (known?.lookedAt.every((thing, i) => thing === lookedAt[i])) return known.ends;
      const ends = make();
      this.answers.set(name, { lookedAt, ends });
      return ends;
    };
    return [
      ...ask('walls', [walls], () => unansweredWalls(building)),
      ...ask('imposed', [panels, buildUps], () => floorsWithoutImposed(building)),
      ...ask('masonry', [walls, buildUps, this.run], () => emptyMasonry(building, takedown)),
      ...ask('faces', [walls, buildUps], () => loadedFaces(building)),
      ...ask('low', [walls, brief, this.run], () => lowWalls(building, takedown)),
      ...ask('bypassed', [walls, panels, this.run], () => bypassedWalls(building, takedown)),
      ...ask('rafters', [panels, buildUps, brief, this.run], () => thrustingRafters(building, takedown)),
      ...ask('openings', [notes, panels], () => missingOpenings(building)),
      ...ask('twins', [columns, hangers, footings], () => twins(building)),
      ...ask('bracing', [building.removed], () => bracingRemoved(building)),
      ...ask('overlaps', [panels], () => overlappingPanels(building)),
      ...ask('offAxis', [building.walls, building.stripFootings, brief, this.run], () => wallsOffAxis(building, takedown)),
      ...ask(
        'marks',
        MARKED.map((kind) => building[kind]),
        () => repeatedMarks(building),
      ),
      ...unresisted(building, takedown),
    ];
  }
}

function end(kind: string, item: string, title: string, why: string, remedy: string): LooseEnd {
  return { key: `${kind}:${item}`, item, title, why, remedy, byCase: {} };
}

/** Does this wall carry load? Until somebody answers it is taken to. */
function unansweredWalls({ walls }: Building): LooseEnd[] {
  return [...walls]
    .filter(([, wall]) => wall.bears === 'open')
    .map(([id, wall]) =>
      end(
        'bears',
        id,
        `Does ${wall.mark} carry load? Nobody has answered`,
        'Until then it is taken to carry what reaches it. A stud wall is not proof that a wall is idle, and an idle wall may still brace.',
        'Look at the storey below and at the span of the joists, and answer at the wall.',
      ),
    );
}

/** Panels of one level that lie over each other: their load is counted twice. */
function overlappingPanels({ panels }: Building): LooseEnd[] {
  const byLevel = new Map<string, { id: string; panel: Panel; west: number; east: number }[]>();
  panels.forEach((panel, id) => {
    const xs = panel.outline.map(({ x }) => x);
    const entry = { id, panel, west: Math.min(...xs), east: Math.max(...xs) };
    const list = byLevel.get(panel.level);
    if (list) list.push(entry);
    else byLevel.set(panel.level, [entry]);
  });
  const ends: LooseEnd[] = [];
  for (const list of byLevel.values()) {
    list.sort((a, b) => a.west - b.west);
    // sweep line: only those that begin before this one ends can lie over it
    list.forEach((a, i) => {
      for (let j = i + 1; j < list.length && list[j]!.west < a.east; j++) {
        const b = list[j]!;
        if (!overlap(a.panel.outline, b.panel.outline)) continue;
        ends.push(
          end(
            'panels-overlap',
            b.id,
            `${a.panel.mark} and ${b.panel.mark} lie over each other`,
            'Both are taken down: where they overlap the floor is counted twice.',
            'Move one of them, or cut the one out of the other.',
          ),
        );
      }
    });
  }
  return ends;
}

/** Walls and strip footings that are loaded beside their axis: they are not designed here, so that nothing else says so. */
function wallsOffAxis(building: Building, { members }: Takedown): LooseEnd[] {
  const ends: LooseEnd[] = [];
  for (const of of [building.walls, building.stripFootings] as readonly ReadonlyMap<string, { readonly mark: string }>[])
    of.forEach(({ mark }, id) => {
      const ledger = members.get(id);
      const found = ledger ? offAxis(building, ledger) : [];
      if (found.length > 0)
        ends.push(
          end(
            'eccentric',
            id,
            `${mark} is loaded off its axis`,
            `${found.map((one) => `${one.mark} stands ${quantitySaid(one.distance, 'sectionLength', building.brief.units)} off it`).join('; ')}: the moment of the offset is not in the takedown.`,
            'Move one of them onto the axis of the other, or show that the wall and its footing resist the moment.',
          ),
        );
    });
  return ends;
}

/** Walls that brace the building and are to be removed. */
function bracingRemoved({ removed }: Building): LooseEnd[] {
  return removed.flatMap((item) =>
    item.kind === 'wall' && item.body.braces
      ? [
          end(
            'braces-removed',
            item.id,
            `${item.body.mark} braces the outside walls, and is to be removed`,
            'Without it the walls that lean on it may fall, whatever load it carries: during the work first of all.',
            'Show what braces them instead, and in which order the work is done, before the wall is touched; a licensed engineer must agree.',
          ),
        ]
      : [],
  );
}

const MARKED = ['beams', 'columns', 'hangers', 'walls', 'footings', 'stripFootings', 'panels'] as const;

/** Marks that stand on more than one item: a schedule, or a drawing, cannot tell them apart. */
function repeatedMarks(building: Building): LooseEnd[] {
  const first = new Map<string, string>();
  const twice = new Map<string, string[]>();
  for (const kind of MARKED)
    building[kind].forEach(({ mark }, id) => {
      const known = first.get(mark);
      if (known === undefined) first.set(mark, id);
      else twice.set(mark, [...(twice.get(mark) ?? [known]), id]);
    });
  return [...twice].map(([mark, ids]) =>
    end(
      'mark-twice',
      ids[1]!,
      `The mark ${mark} stands on ${ids.length} items`,
      'A schedule, a sheet or a drawing cannot tell them apart.',
      'Give each a mark of its own.',
    ),
  );
}

/** Floors on which nobody walks. */
function floorsWithoutImposed({ panels, buildUps }: Building): LooseEnd[] {
  const idle = new Set<string>();
  buildUps.forEach((buildUp, id) => {
    if (variableTotal(buildUp) === 0) idle.add(id);
  });
  if (idle.size === 0) return [];
  return [...panels]
    .filter(([, panel]) => idle.has(panel.buildUp))
    .map(([id, panel]) =>
      end(
        'no-imposed',
        id,
        `${panel.mark} has no imposed load or snow`,
        'Its build-up names layers only. A forgotten imposed load is the costliest slip of a takedown.',
        'Add the variable load to its build-up in Brief.',
      ),
    );
}

/** Walls whose build-up names variable load: it is one of a floor or a roof, and nothing lies on the face of a wall. */
function loadedFaces({ walls, buildUps }: Building): LooseEnd[] {
  return [...walls].flatMap(([id, { mark, buildUp }]) => {
    const layers = buildUp === null ? undefined : buildUps.get(buildUp);
    if (!layers || layers.variable.length === 0) return [];
    return [
      end(
        'wall-variable',
        id,
        `${mark} has the build-up ${layers.name}, with variable load, which is not applied`,
        'Only the self-weight of the layers acts on a wall.',
        'Give it a build-up of its own, without variable load.',
      ),
    ];
  });
}

/** Walls on a transfer beam that weigh nothing. */
function emptyMasonry(building: Building, { bearers }: Takedown): LooseEnd[] {
  return [...building.walls]
    .filter(([id, wall]) => faceWeight(building, wall) === 0 && (bearers.get(id) ?? []).length > 0)
    .map(([id, wall]) =>
      end(
        'no-weight',
        id,
        `${wall.mark} has no weight`,
        'Masonry above a beam is load, often the largest that it carries.',
        'Type the weight per area of its face.',
      ),
    );
}

/** Depth of floor or beam that may well stand between the head of a wall and the level above, mm. */
const FLOOR_DEPTH = 600;

/** Walls that end well below what lands on them. */
function lowWalls(building: Building, { members }: Takedown): LooseEnd[] {
  return [...building.walls]
    .filter(([id, wall]) => {
      if (storeyOf(building, wall) - wallHeight(building, wall) <= FLOOR_DEPTH) return false;
      return members.get(id)?.arrivals.some(({ source }) => source.type === 'member' || source.type === 'panel');
    })
    .map(([id, wall]) =>
      end(
        'low-wall',
        id,
        `${wall.mark} ends below what lands on it`,
        `It is ${quantitySaid(wallHeight(building, wall), 'length', building.brief.units)} high in a storey of ${quantitySaid(storeyOf(building, wall), 'length', building.brief.units)}, and is taken to carry what comes down at the level above.`,
        'Correct its height, say that it carries nothing, or draw what stands between.',
      ),
    );
}

/** Walls that come up to a floor which spans towards them, and on which nothing of that floor lands. */
function bypassedWalls(building: Building, { panels }: Takedown): LooseEnd[] {
  const ends: LooseEnd[] = [];
  for (const [id, wall] of building.walls) {
    if (wall.bears === 'no' || planLength(wall) === 0) continue;
    const middle = { x: (wall.from.x + wall.to.x) / 2, y: (wall.from.y + wall.to.y) / 2 };
    const along = Math.atan2(wall.to.y - wall.from.y, wall.to.x - wall.from.x);
    for (const [panelId, panel] of building.panels) {
      if (panel.level !== wall.top || panel.span !== 'oneWay' || Math.abs(Math.sin(along - panel.direction)) < 0.5) continue;
      if (!contains(panel.outline, middle) || panels.get(panelId)?.shares.some(({ member }) => member === id)) continue;
      ends.push({
        ...end(
          'bypassed',
          id,
          `${panel.mark} passes over ${wall.mark} without landing on it`,
          'The floor spans across the wall, and the wall comes up to it.',
          'Check the reach and the level of the wall, or answer that it carries nothing.',
        ),
        key: `bypassed:${id}:${panelId}`,
      });
    }
  }
  return ends;
}

/** Pitched panels that lean on each other along an edge with nothing under it: rafters without a ridge beam push their feet apart. */
function thrustingRafters({ panels, buildUps, brief }: Building, { panels: sharings }: Takedown): LooseEnd[] {
  const pitched: [string, Panel][] = [];
  panels.forEach((panel, id) => {
    if (panel.pitch <= 0.02 || panel.span !== 'oneWay') return;
    if (sharings.get(id)?.orphans.some(({ reason }) => reason === 'one support')) pitched.push([id, panel]);
  });
  const ends: LooseEnd[] = [];
  for (let i = 0; i < pitched.length; i += 1)
    for (let j = i + 1; j < pitched.length; j += 1) {
      const [[id, a], [other, b]] = [pitched[i]!, pitched[j]!];
      if (a.level !== b.level || Math.abs(Math.sin(a.direction - b.direction)) > 0.05 || !meetAcross(a, b)) continue;
      const { run, permanent, variable } = thrustOf(a, buildUps.get(a.buildUp));
      const say = (load: number) => quantitySaid(load, 'lineLoad', brief.units);
      ends.push({
        ...end(
          'thrust',
          id,
          `${a.mark} and ${b.mark} lean on each other without a ridge beam`,
          `Rafters over ${quantitySaid(run, 'length', brief.units)} push their feet outward by about ${say(permanent)} permanent and ${say(variable)} variable, unfactored (w l / 2 tan of the pitch); what they stand on is not proved for that, and their load lands nowhere until something is under the ridge.`,
          'Put a ridge beam under them, or tie their feet and prove the tie, and let them span to it.',
        ),
        key: `thrust:${id}:${other}`,
      });
    }
  return ends;
}

/** Thrust of a pair of rafters, kN/m: half of a three-hinged arch of the panel's run and pitch, under load per area of plan. */
function thrustOf(
  panel: Panel,
  buildUp: Parameters<typeof areaLoads>[0] | undefined,
): { run: number; permanent: number; variable: number } {
  const [c, s] = [Math.cos(panel.direction), Math.sin(panel.direction)];
  const along = panel.outline.map(({ x, y }) => x * c + y * s);
  const run = Math.max(...along) - Math.min(...along);
  let [permanent, variable] = [0, 0];
  for (const { perPlane, intensity } of buildUp ? areaLoads(buildUp, panel.pitch) : []) {
    // N/mm2 times mm is N/mm, which is kN/m
    const thrust = (intensity * run) / (2 * Math.tan(panel.pitch));
    if (perPlane !== null) permanent += thrust;
    else variable += thrust;
  }
  return { run, permanent, variable };
}

/** True when an edge of one runs along an edge of the other, across the span. */
function meetAcross(a: Panel, b: Panel): boolean {
  return edgesOf(a.outline).some(([p, q]) => {
    const length = Math.hypot(q.x - p.x, q.y - p.y);
    const along = Math.abs((q.x - p.x) * Math.cos(a.direction) + (q.y - p.y) * Math.sin(a.direction));
    if (length < 500 || along > 0.5 * length) return false;
    return edgesOf(b.outline).some(([r, t]) => {
      const away = (u: PlanPoint) => Math.abs((u.x - p.x) * (q.y - p.y) - (u.y - p.y) * (q.x - p.x)) / length;
      const at = (u: PlanPoint) => ((u.x - p.x) * (q.x - p.x) + (u.y - p.y) * (q.y - p.y)) / length;
      const [low, high] = [Math.min(at(r), at(t)), Math.max(at(r), at(t))];
      return Math.max(away(r), away(t)) < 100 && Math.min(length, high) - Math.max(0, low) > 500;
    });
  });
}

function edgesOf(outline: readonly PlanPoint[]): [PlanPoint, PlanPoint][] {
  return outline.map((p, i) => [p, outline[(i + 1) % outline.length]!]);
}

/** Horizontal load while nobody has said what resists it. */
function unresisted({ answers, brief }: Building, { horizontal }: Takedown): LooseEnd[] {
  if (horizontal.length === 0 || answers.has('project:stability')) return [];
  const say = (value: number) => quantitySaid(value, 'force', brief.units);
  const sums = horizontal.map(({ loadCase, east, north }) => `${loadCase.name} ${say(east)} east, ${say(north)} north`);
  return [
    end(
      'horizontal',
      'brief',
      `Horizontal load has nothing that is said to resist it: ${sums.join('; ')}`,
      'It is counted, and not taken down: what braces the building, and what that puts on its columns and footings, is not calculated here.',
      'Confirm overall stability in Package with what resists it in each direction, and prove that apart.',
    ),
  ];
}

const OPENS = /\b(stairs?|staircase|roof ?lights?|skylights?|hatch|lift shaft|void)\b/i;

/** Notes that speak of a stair, a roof light or a void, on a panel that has no opening there. */
function missingOpenings({ notes, panels }: Building): LooseEnd[] {
  return notes.flatMap(({ id, body }) => {
    const word = OPENS.exec(body.text)?.[0];
    if (!word) return [];
    const hit = [...panels].find(([, panel]) => panel.level === body.level && contains(panel.outline, body.at));
    if (!hit || hit[1].openings.some((opening) => contains(opening.outline, body.at))) return [];
    return [
      {
        ...end(
          'opening',
          hit[0],
          `A note on ${hit[1].mark} speaks of a ${word.toLowerCase()}, and there is no opening`,
          'Floor that is not there is counted as load, and the trimmers beside it get too little.',
          'Draw the opening in the panel, or move the note.',
        ),
        key: `opening:${hit[0]}:${id}`.slice(0, 140),
      },
    ];
  });
}

/** Posts and pads drawn twice in one place: each would be counted, and load goes to one of them alone. */
function twins({ columns, hangers, footings }: Building): LooseEnd[] {
  const seen = new Map<string, { id: string; mark: string }>();
  const ends: LooseEnd[] = [];
  const look = (kind: string, id: string, mark: string, at: PlanPoint, where: string) => {
    const key = `${kind}|${where}|${Math.round(at.x / 50)}|${Math.round(at.y / 50)}`;
    const first = seen.get(key);
    if (!first) seen.set(key, { id, mark });
    else
      ends.push({
        ...end(
          'twin',
          id,
          `${mark} stands where ${first.mark} does`,
          'One of the two bears everything, and the weight of both is counted.',
          'Take one of them away.',
        ),
        key: `twin:${id}:${first.id}`.slice(0, 140),
      });
  };
  for (const [id, { mark, at, base, top }] of columns) look('column', id, mark, at, `${base}|${top}`);
  for (const [id, { mark, at, base, top }] of hangers) look('hanger', id, mark, at, `${base}|${top}`);
  for (const [id, { mark, at, level }] of footings) look('pad', id, mark, at, level);
  return ends;
}
