import { BARS, CONCRETES, defaultBrief, REINFORCEMENT, SERVICE_LEVEL_LABEL, STANDARDS, gradesFor, type Brief } from '@plinth/core';
import { NumberField, OptionalQuantityField, QuantityField, SelectField, TextField } from '../../parts/fields';
import { useItems, useUnits } from '../../project/context';
import { useEdit } from '../../project/useEdit';
import { Actions } from './Actions';
import { BuildUps } from './BuildUps';
import { Levels } from './Levels';
import { OwnShapes } from './OwnShapes';

const options = (values: readonly string[]) => values.map((value) => ({ value, label: value }));

/** What the whole design stands on: codes, materials, ground, limits, levels, build-ups. */
export function BriefRoom() {
  const units = useUnits();
  const [item] = useItems('brief');
  const { patch } = useEdit();
  if (!item) return null;
  const { body } = item;
  const standard = STANDARDS[body.family];
  const levels = standard.loads.philosophies[0]!.rules.serviceLevels;
  const set =
    <K extends keyof Brief>(name: K, title: string) =>
    (value: Brief[K]) =>
      patch(item, { [name]: value } as Partial<Brief>, `Brief: ${title}`);
  const grades = (product: 'rolled' | 'hollow' | 'round') =>
    options(gradesFor(standard.profile.materials, product).map((grade) => grade.id));
  return (
    <div className="print-flow min-w-0 flex-1 overflow-y-auto px-6 py-4">
      <h1 className="text-xl font-bold">Brief</h1>
      <div className="mt-3 grid max-w-5xl grid-cols-3 gap-x-10 gap-y-6">
        <section className="space-y-2" aria-label="Building and limits">
          <h2 className="label">Building</h2>
          <TextField label="Name" value={body.name} commit={set('name', 'name')} />
          <SelectField
            label="Units"
            value={body.units}
            commit={(value) => set('units', 'units')(value as Brief['units'])}
            options={[
              { value: 'SI', label: 'SI: kN, m, mm' },
              { value: 'US', label: 'US: kip, ft, in' },
            ]}
          />
          <SelectField
            label="Codes"
            value={body.family}
            commit={(value) => {
              const family = value as Brief['family'];
              const { combinationRule } = defaultBrief(body.name, family);
              return patch(item, { family, combinationRule, deflectionCombination: 'characteristic' }, `Brief: ${STANDARDS[family].title}`);
            }}
            options={Object.values(STANDARDS)
              .filter(({ profile }) => profile.materials === standard.profile.materials)
              .map(({ id, title }) => ({ value: id, label: title }))}
          />
          <SelectField
            label="Combinations"
            value={body.combinationRule}
            commit={(value) => set('combinationRule', 'combinations')(value as Brief['combinationRule'])}
            options={standard.loads.philosophies.map((p) => ({ value: p.id, label: p.title }))}
          />
          <SelectField
            label="Imposed load in the design of members"
            value={body.imposedReduction}
            commit={(value) => set('imposedReduction', 'reduction of imposed load')(value as Brief['imposedReduction'])}
            options={[
              { value: 'none', label: 'in full' },
              { value: 'code', label: 'reduced by area and storeys, as the code allows' },
            ]}
          />
          <p className="text-[12px] text-soft">{standard.editions.join(', ')}</p>
          <h2 className="label pt-3">Deflection, span over</h2>
          {levels.length > 1 && (
            <SelectField
              label="Looked at under"
              value={body.deflectionCombination}
              commit={(value) => set('deflectionCombination', 'deflection combination')(value as Brief['deflectionCombination'])}
              options={levels.map((level) => ({ value: level, label: SERVICE_LEVEL_LABEL[level] }))}
            />
          )}
          <div className="grid grid-cols-3 items-end gap-3">
            <NumberField label="Variable" value={body.deflectionVariable} commit={set('deflectionVariable', 'deflection limit')} />
            <NumberField label="Total" value={body.deflectionTotal} commit={set('deflectionTotal', 'deflection limit')} />
            <NumberField label="Transfer" value={body.deflectionTransfer} commit={set('deflectionTransfer', 'deflection limit')} />
            <NumberField label="Brittle finishes" value={body.deflectionBrittle} commit={set('deflectionBrittle', 'deflection limit')} />
            <NumberField label="Crane runway" value={body.deflectionCrane} commit={set('deflectionCrane', 'deflection limit')} />
            <NumberField
              label="Overhang, its length over"
              value={body.deflectionCantilever}
              commit={set('deflectionCantilever', 'deflection limit')}
            />
          </div>
          <SelectField
            label="A transfer beam carries"
            value={body.transferRule}
            commit={(value) => set('transferRule', 'what a transfer beam is')(value as Brief['transferRule'])}
            options={[
              { value: 'posts', label: 'a column, post or wall from above' },
              { value: 'members', label: 'any member, other beams too' },
            ]}
          />
          <div className="grid grid-cols-2 gap-3">
            <OptionalQuantityField
              label="Variable, at most"
              kind="sectionLength"
              value={body.deflectionMostVariable}
              commit={set('deflectionMostVariable', 'deflection limit')}
              empty="no such limit"
            />
            <OptionalQuantityField
              label="Total, at most"
              kind="sectionLength"
              value={body.deflectionMostTotal}
              commit={set('deflectionMostTotal', 'deflection limit')}
              empty="no such limit"
            />
          </div>
        </section>
        <section className="space-y-2" aria-label="Materials">
          <h2 className="label">Materials</h2>
          <SelectField label="Rolled steel" value={body.grade} commit={set('grade', 'steel grade')} options={grades('rolled')} />
          <SelectField
            label="Rectangular hollow"
            value={body.hollowGrade}
            commit={set('hollowGrade', 'hollow grade')}
            options={grades('hollow')}
          />
          <SelectField
            label="Circular hollow"
            value={body.roundGrade}
            commit={set('roundGrade', 'round grade')}
            options={grades('round')}
          />
          <SelectField
            label="Concrete of footings"
            value={body.concrete}
            commit={set('concrete', 'concrete')}
            options={options(CONCRETES.filter((c) => c.family === standard.profile.materials).map((c) => c.id))}
          />
          <SelectField
            label="Reinforcement"
            value={body.reinforcement}
            commit={(value) => set('reinforcement', 'reinforcement')(value as Brief['reinforcement'])}
            options={options(
              Object.values(REINFORCEMENT)
                .filter((r) => r.family === standard.profile.materials)
                .map((r) => r.id),
            )}
          />
          <SelectField
            label="Bars"
            value={body.bar}
            commit={set('bar', 'bars')}
            options={options(BARS.filter((b) => b.family === standard.profile.materials).map((b) => b.id))}
          />
          <QuantityField label="Cover" kind="sectionLength" value={body.cover} commit={set('cover', 'cover')} />
        </section>
        <section className="space-y-2" aria-label="Ground">
          <h2 className="label">Ground</h2>
          <QuantityField label="Allowable bearing" kind="bearing" value={body.bearing} commit={set('bearing', 'bearing')} />
          <SelectField
            label="Bearing is stated"
            value={body.bearingBasis}
            commit={(value) => set('bearingBasis', 'bearing basis')(value as Brief['bearingBasis'])}
            options={[
              { value: 'gross', label: 'gross: on all that presses' },
              { value: 'net', label: 'net: beyond the soil taken out' },
            ]}
          />
          <TextField
            label="Source of the bearing"
            value={body.bearingSource}
            commit={set('bearingSource', 'source of bearing')}
            placeholder="ground report, or assumed from…"
          />
          <QuantityField label="Founding depth" kind="length" value={body.foundingDepth} commit={set('foundingDepth', 'founding depth')} />
          <QuantityField
            label="Soil and backfill"
            kind="unitWeight"
            value={body.soilUnitWeight}
            commit={set('soilUnitWeight', 'soil weight')}
          />
          <QuantityField
            label="Footing sizes in steps of"
            kind="sectionLength"
            value={body.footingStep}
            commit={set('footingStep', 'footing step')}
          />
          <div className="grid grid-cols-2 items-end gap-3">
            <QuantityField label="Members touch within" kind="length" value={body.reach} commit={set('reach', 'reach of found supports')} />
            <QuantityField
              label="Construction tolerance"
              kind="sectionLength"
              value={body.constructionTolerance}
              commit={set('constructionTolerance', 'construction tolerance')}
            />
          </div>
        </section>
      </div>
      <Levels />
      <OwnShapes item={item} units={units} />
      <Actions />
      <BuildUps units={units} />
    </div>
  );
}
