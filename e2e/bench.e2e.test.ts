import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { RunningServer } from '../server/src';
import { startApp } from './app';
import { Browser } from './browser';

/** Single calculations without a building. */
describe('the bench', () => {
  let app: RunningServer;
  let browser: Browser;
  beforeAll(async () => {
    app = await startApp(false);
    browser = await Browser.open();
  });
  afterAll(async () => {
    await browser?.close();
    await app?.close();
  });
  const bar = async (check: string) => {
    const rung = await browser.see(`[data-check="${check}"]`);
    return Number(/\b(\d+\.\d\d)$/m.exec(await rung.getText())![1]);
  };

  it('is reached from the list of projects, and opens on a beam', async () => {
    await browser.go(app.url);
    await browser.clickText('Bench: one member', 'a');
    await browser.waitForText('[aria-label="Reactions"]', 'at 11.00 m');
  });

  it('sizes a beam, breaks it by taking its restraint away, and says why', async () => {
    await browser.clickText('Size this beam');
    await browser.waitForText('[aria-label="Failure ladders"]', /Lightest that carries[\s\S]*Without the floor: UB/);
    await browser.waitForText('[aria-label="Without the floor"]', 'held at its supports only: lateral-torsional buckling');
    await browser.clickText('Take it');
    await browser.waitForText('[data-check="bending"]', 'carries');
    await browser.choose('Compression flange held by', 'its supports only');
    await browser.choose('Load acts', 'on the top flange');
    await browser.type('Supports', '0 11');
    await browser.until(
      () => bar('lateral-torsional-buckling'),
      (use) => use > 1,
      'without the floor it buckles sideways',
    );
    await browser.waitForText('[data-check="lateral-torsional-buckling"]', /short[\s\S]*EN 1993-1-1 6\.3\.2/);
    await browser.waitForText('[aria-label="Sheet"]', 'numerical solution of the whole member');
    await browser.type('Supports', '0 13');
    await browser.waitForText('main', 'a place lies off the member');
    await browser.go(`${app.url}/bench/member`);
    await browser.waitForText('main', 'Bending and compression, minor axis');
  });

  it('a beam whose top flange alone is held along it: what holds the bottom flange is no help where it sags', async () => {
    await browser.go(`${app.url}/bench/beam`);
    await browser.waitForText('[data-check="lateral-torsional-buckling"]', 'EN 1993-1-1 6.3.2');
    const floor = await bar('lateral-torsional-buckling');
    await browser.choose('Compression flange held by', 'points along it');
    const free = await browser.until(
      () => bar('lateral-torsional-buckling'),
      (use) => use > floor,
      'without the floor it carries less',
    );
    await browser.type('Only the top flange at', '2 4 8');
    await browser.until(
      () => bar('lateral-torsional-buckling'),
      (use) => use < free,
      'held at its top flange it carries more',
    );
    await browser.choose('Codes', 'BS 5950-1');
    await browser.waitForText('[data-check="lateral-torsional-buckling"]', 'BS 5950-1 4.3.6');
    await browser.type('Stiff length of its seats', '120');
    await browser.waitForText('[data-check="web-bearing"]', 'BS 5950-1 4.5.2');
    await browser.see('[aria-label="Diagrams"] [aria-label*="elevation with supports, restraints and loads"]');
  });

  it('end forces by load case, pasted from a spreadsheet: combined by both American philosophies; an envelope says what it is', async () => {
    await browser.go(`${app.url}/bench/member`);
    await browser.choose('Codes', 'ASCE 7');
    await browser.clickText('Paste rows');
    await browser.type(
      'Rows',
      'name,case,axial,My start,My end\nD,permanent,60,10,0\nL,imposed B,40,8,0\nWind,wind,-20,15,-15\nX,hail,1,1,1\n',
    );
    await browser.waitForText('[role="dialog"]', 'case "hail" is none of');
    await browser.clickText('Take 3 sets');
    await browser.choose('Forces are given as', 'sets by load case');
    await browser.waitForText('[aria-label="Sheet"]', 'Each set of forces is of one load case and unfactored');
    await browser.waitForText('[aria-label="Sheet"]', /LRFD \d/);
    await browser.see('table[aria-label="Failure ladder, LRFD and ASD"]');
    await browser.waitForText('[aria-label="Sheet"]', 'factor of D');
    await browser.clickText('Wind', 'button');
    await (await browser.field('acts the other way as well')).click();
    await browser.waitForText('[aria-label="Sheet"]', 'A set that acts both ways is looked at as typed and turned round');
    await browser.choose('Forces are given as', 'an envelope of peaks');
    await browser.choose('Combined by', 'ASD');
    await browser.waitForText('[aria-label="Sheet"]', 'they are taken together though they need not occur together');
    await browser.go(`${app.url}/bench/member`);
    await browser.waitForText('main', 'Bending and compression, minor axis');
  });

  it('a member: less restraint, more use; what is typed wrong is said at its field and kept; back undoes', async () => {
    await browser.type('Axial force', '0');
    await browser.type('end', '38');
    await browser.type('middle', '38');
    const held = await bar('lateral-torsional-buckling');
    await browser.type('Between lateral restraints', '9 m');
    await browser.until(
      () => bar('lateral-torsional-buckling'),
      (use) => use > 1.2 * held,
      'a longer way between restraints buckles sooner',
    );
    await browser.type('Between lateral restraints', '9 kN');
    await browser.waitForText('main', 'is not in a unit of this quantity');
    await browser.type('Between lateral restraints', '0');
    await browser.until(
      async () => (await browser.driver.findElements({ css: '[data-check="lateral-torsional-buckling"]' })).length,
      (rungs) => rungs === 0,
      'held along its length it does not buckle',
    );
    await browser.click('[aria-label="Undo"]');
    await browser.see('[data-check="lateral-torsional-buckling"]');
    await browser.type('Section', 'UC 1x2x3');
    await browser.waitForText('main', 'is not in the catalogue');
    await browser.type('Section', 'own I 400x200x10x16');
    await browser.waitForText('[aria-label="Sheet"]', 'own I 400x200x10x16');
  });

  it('effects that are combined give figures by their own method only', async () => {
    await browser.choose('Codes', 'AISC');
    await browser.waitForText('[aria-label="Failure ladders"]', /Not verified: these effects were combined by 6\.10ab: Eurocodes/);
    expect(await browser.driver.findElements({ css: '[data-check]' })).toEqual([]);
    await browser.choose('Combined by', 'service');
    await browser.waitForText('[aria-label="Failure ladders"]', 'service effects are for deflection and bearing');
    await browser.choose('Combined by', 'ASD');
    await browser.waitForText('[aria-label="Failure ladders"]', 'AISC 360-16 F');
    await browser.waitForText('[aria-label="Sheet"]', '1.67');
    expect(await browser.pageText('[aria-label="Sheet"]')).not.toContain('LRFD');
  });

  it('builds a hybrid section and reads its plastic neutral axis, in a part, on a joint, in a gap', async () => {
    await browser.go(`${app.url}/bench/builtup`);
    // 250 x 25 and 300 x 30 of 345, web 10 x 800 of 275: (9000 - 6250) * 345 / (2 * 10 * 275) = 172.5 below the middle
    await browser.waitForText('[aria-label="Result"]', '−172.5 mm, in web');
    const steps = await browser.waitForText('[aria-label="Result"]', 'plastic neutral axis, if so');
    expect(steps).not.toContain('Undefined control sequence');
    // as strong as the bottom flange: the axis goes to the middle
    await browser.type('Yield strength of part 1', '496.8');
    await browser.waitForText('[aria-label="Result"]', /Plastic neutral axis\s+0 mm, in web/);
    // without a web there is a gap
    await browser.click('[aria-label="Take away part 2"]');
    await browser.waitForText('[aria-label="Result"]', 'anywhere in the gap');
    await browser.type('z of part 1', '-387.5');
    await browser.waitForText('[aria-label="Result"]', 'exactly on the joint between top flange and bottom flange');
    await browser.clickText('Add a rolled shape');
    await browser.waitForText('[aria-label="Result"]', 'Plastic moment');
    // material that would count twice is named, and still drawn
    await browser.choose('How part 3 is placed', 'by its middle');
    await browser.type('z of part 3', '-300');
    await browser.waitForText('[role="alert"]', '"top flange" and "shape 3" lie over each other');
    await browser.see('svg[aria-label="Built-up section to scale"]');
    await browser.type('z of part 3', '-100');
    await browser.waitForText('[aria-label="Result"]', 'Plastic moment');
    await browser.clickText('Add a hole');
    await browser.waitForText('[aria-label="Result"]', 'Plastic moment');
    await browser.type('z of part 4', '-360');
    await browser.waitForText('[role="alert"]', 'of the hole "hole 4" lie outside "top flange"');
    await browser.type('Shape of part 3', 'UB 9x9');
    await browser.waitForText('main', 'is not in the catalogue');
  });

  it('charts the lightest beam by span and load, with and without the floor, by either code', async () => {
    await browser.go(`${app.url}/bench/chart`);
    const chart = await browser.waitForText('[aria-label="Chart"]', 'UB 457x191x67 reaches');
    expect(chart).toContain('Left out:');
    await browser.type('Spans', '6 x');
    await browser.waitForText('main', /"x" is not/);
    await browser.type('Spans', '6 7.5');
    await browser.until(
      async () => (await browser.driver.findElements({ css: '[aria-label="Lightest beams"] tbody tr' })).length,
      (rows) => rows === 2,
      'two spans, two rows',
    );
    await browser.choose('Codes', 'AISC');
    await browser.waitForText('[aria-label="Chart"]', 'W18X50 reaches');
  });

  it('filters the catalogue and opens a section with all its properties', async () => {
    await browser.go(`${app.url}/bench/sections`);
    await browser.choose('Family', 'all families');
    await browser.type('to', '120 mm');
    await browser.type('Mass to', '15');
    await browser.choose('Family', 'L');
    const page = await browser.waitForText('[aria-label^="Section L"]', 'Shear centre S above the centroid');
    expect(page).toContain('S355');
    await browser.type('A shape of your own', 'T 150x200x8x12');
    await browser.waitForText('[aria-label="Section own T 150x200x8x12"]', 'Centroid below the top');
    await browser.type('A shape of your own', 'own I 600x300x12x20 bottom 180x15');
    const girder = await browser.waitForText('[aria-label="Section own I 600x300x12x20 bottom 180x15"]', 'Width of the bottom flange');
    expect(girder).toMatch(/Width of the bottom flange\s+180\.0 mm/);
  });

  it('an address that names what is not there stands on what is', async () => {
    await browser.go(`${app.url}/bench/member?input=${encodeURIComponent('{"section":"UB 1x1","axial":"much","grade":"S275"}')}`);
    // an address from before the method was asked says nothing until it is answered
    await browser.waitForText('[aria-label="Failure ladders"]', 'Not verified: say by which codes and method');
    await browser.choose('Combined by', '6.10ab');
    const text = await browser.waitForText('[aria-label="Sheet"]', 'UC 203x203x60');
    expect(text).toContain('S275');
    await browser.go(`${app.url}/bench/beam?input=nonsense`);
    await browser.waitForText('[aria-label="Sheet"]', 'UB 406x178x54');
  });

  it('sets every formula, and complains of nothing but what was refused', async () => {
    expect(await browser.pageText('body')).not.toContain('Undefined control sequence');
    expect(await browser.complaints()).toEqual([]);
  });
});
