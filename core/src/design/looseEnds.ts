import { planLength, type Building } from '../building';
import { variableTotal } from '../load';
import { contains, type LooseEnd, type Takedown } from '../takedown';

/** What a careful reader of the survey would ask, beside what the takedown could not carry. */
export function surveyLooseEnds(building: Building, takedown: Takedown): LooseEnd[] {
  return [
    ...unansweredWalls(building),
    ...floorsWithoutImposed(building),
    ...emptyMasonry(building, takedown),
    ...bypassedWalls(building, takedown),
  ];
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

/** Floors on which nobody walks. */
function floorsWithoutImposed({ panels, buildUps }: Building): LooseEnd[] {
  return [...panels]
    .filter(([, panel]) => {
      const buildUp = buildUps.get(panel.buildUp);
      return buildUp !== undefined && variableTotal(buildUp) === 0;
    })
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

/** Walls on a transfer beam that weigh nothing. */
function emptyMasonry({ walls }: Building, { bearers }: Takedown): LooseEnd[] {
  return [...walls]
    .filter(([id, wall]) => wall.weight === 0 && (bearers.get(id) ?? []).length > 0)
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
