import { describe, expect, it } from 'vitest';
import { ownShapesCsv, readOwnShapes } from '.';

describe('own shapes from CSV', () => {
  it('reads every outline, in any order of columns, with units in the head or the cell', () => {
    const { shapes, faults } = readOwnShapes(
      [
        'shape,name,depth [mm],width [mm],web,flange,wall,radius,bottom width,bottom flange [in]',
        'I,PG1,600,250,10,20,,',
        'I,PG2,600,300,12,20,,,180,0.625',
        'c,,200,80,8 mm,12,,10',
        'L,"Bent, plate",100,75,,,10,8',
        'box,,300,200,,,10,',
        'tube,,8 in,,,,8,0',
      ].join('\n'),
      'SI',
    );
    expect(faults).toEqual([]);
    expect(shapes).toEqual([
      { name: 'PG1', designation: 'own I 600x250x10x20' },
      { name: 'PG2', designation: 'own I 600x300x12x20 bottom 180x15.875' },
      { name: 'own C 200x80x8x12 r10', designation: 'own C 200x80x8x12 r10' },
      { name: 'Bent, plate', designation: 'own L 100x75x10 r8' },
      { name: 'own box 300x200x10', designation: 'own box 300x200x10' },
      { name: 'own tube 203.2x8', designation: 'own tube 203.2x8' },
    ]);
    expect(readOwnShapes(ownShapesCsv(shapes), 'US').shapes).toEqual(shapes);
  });
  it('bare numbers are of the project; tabs of a spreadsheet are read too', () => {
    expect(readOwnShapes('name\tshape\tdepth\twidth\twall\nX\tbox\t12\t8\t0.5', 'US').shapes).toEqual([
      { name: 'X', designation: 'own box 304.8x203.2x12.7' },
    ]);
  });
  it('says which row cannot be read, and why', () => {
    const { shapes, faults } = readOwnShapes(
      'name,shape,depth,width,web,flange\nA,Z,1,1,1,1\nB,I,600,250,10,\nC,I,30,250,10,20\nD,I,six,250,10,20\nE,I,600,250,10,20',
      'SI',
    );
    expect(shapes.map(({ name }) => name)).toEqual(['E']);
    expect(faults.map(({ row }) => row)).toEqual([2, 3, 4, 5]);
    expect(faults[0]!.message).toContain('none of I, C, T, L, box, tube');
    expect(faults[1]!.message).toBe('flange is missing');
    expect(faults[2]!.message).toContain('deeper than the section');
    expect(readOwnShapes('a,b\n1,2', 'SI').faults[0]!.message).toContain('none called "shape"');
  });
});
