"""Expected values for the tests of the steel checks, computed apart from the program.

Section properties come from slices of the outline, not from the program's closed forms; the checks are written again from the
clauses. Only the dimensions of the catalogue are shared. Writes JSON into core/src/standard/expected/; run from the
checkout:

    python3 docs/verification/apart.py
"""
import json
import re
from math import pi, sqrt, floor

CAT = 'core/src/section/catalogue/'
IN, KSI, KIP, FT = 25.4, 6.894757293168361, 4448.2216152605, 304.8


def rows(name):
    text = open(CAT + name).read().split('`')[1].strip().split('\n')
    head = text[0].split(',')
    return {r.split(',')[1]: dict(zip(head, r.split(','))) for r in text[1:]}


def slices(width_at, depth, n=40000):
    """Area, second moment and plastic modulus about mid-depth of a symmetric outline by horizontal slices."""
    dy = depth / n
    A = I = W = 0.0
    for i in range(n):
        y = (i + 0.5) * dy - depth / 2
        w = width_at(y)
        A += w * dy
        I += w * y * y * dy
        W += w * abs(y) * dy
    return A, I, W


def i_shape(h, b, tw, tf, r):
    def across(y):
        edge = h / 2 - abs(y)
        if edge <= tf:
            return b
        v = edge - tf
        return tw + (2 * (r - sqrt(max(0, r * r - (r - v) ** 2))) if v < r else 0)

    def along(x):
        e = abs(x)
        if e <= tw / 2:
            return h
        u = e - tw / 2
        return 2 * tf + (2 * (r - sqrt(max(0, r * r - (r - u) ** 2))) if u < r else 0)

    A, Iy, Wy = slices(across, h)
    _, Iz, Wz = slices(along, b)
    a = -0.042 + 0.2204 * tw / tf + 0.1355 * r / tf - 0.0865 * r * tw / tf**2 - 0.0725 * (tw / tf) ** 2
    D = ((tf + r) ** 2 + (r + 0.25 * tw) * tw) / (2 * r + tf)
    J = 2 / 3 * b * tf**3 + (h - 2 * tf) * tw**3 / 3 + 2 * a * D**4 - 0.42 * tf**4
    return dict(h=h, b=b, tw=tw, tf=tf, r=r, A=A, Iy=Iy, Iz=Iz, Wpl=Wy, Wel=2 * Iy / h, It=J, Iw=Iz * (h - tf) ** 2 / 4)


def box(h, b, t, ro, ri):
    def outline(hh, bb, r):
        def w(y):
            edge = hh / 2 - abs(y)
            if edge <= 0:
                return 0
            return bb - (2 * (r - sqrt(max(0, r * r - (r - edge) ** 2))) if edge < r else 0)
        return w
    o, i = outline(h, b, ro), outline(h - 2 * t, b - 2 * t, ri)
    A, I, W = slices(lambda y: o(y) - (i(y) if abs(y) < h / 2 - t else 0), h)
    o2, i2 = outline(b, h, ro), outline(b - 2 * t, h - 2 * t, ri)
    _, Iz, _ = slices(lambda y: o2(y) - (i2(y) if abs(y) < b / 2 - t else 0), b)
    return dict(h=h, b=b, t=t, A=A, Iy=I, Iz=Iz, Wpl=W, Wel=2 * I / h)


M = rows('metricRolled.csv.ts')
MH = rows('metricHollow.csv.ts')
U = rows('usRolled.csv.ts')
UH = rows('usHollow.csv.ts')


def eu(name):
    if name in M:
        r = M[name]
        return i_shape(*(float(r[k]) for k in ('h', 'b', 'tw', 'tf', 'r')))
    r = MH[name]
    t = float(r['t'])
    return box(float(r['h']), float(r['b']), t, 1.5 * t, t)


def us(name):
    if name in U:
        r = U[name]
        d, bf, tw, tf, k = (float(r[x]) for x in ('d', 'bf', 'tw', 'tf', 'kdes'))
        return i_shape(d, bf, tw, tf, k - tf)
    r = UH[name]
    t = 0.93 * float(r['tnom'])
    return box(float(r['h']), float(r['b']), t, 2 * t, t)


E_EU, G_EU = 210000.0, 81000.0
FY = {'S235': [235, 225, 215], 'S275': [275, 265, 255], 'S355': [355, 345, 335]}
ALPHA = {'a': 0.21, 'b': 0.34, 'c': 0.49, 'd': 0.76}


def fy_of(grade, t):
    return FY[grade][0 if t <= 16 else 1 if t <= 40 else 2]


def eu_class_bending(s, fy):
    e = sqrt(235 / fy)
    c = (s['b'] - s['tw'] - 2 * s['r']) / 2 / s['tf']
    w = (s['h'] - 2 * s['tf'] - 2 * s['r']) / s['tw']
    for n, (f, g) in enumerate(((9, 72), (10, 83), (14, 124)), 1):
        if c <= f * e and w <= g * e:
            return n
    return 4


def eu_compact_in_compression(s, fy):
    e = sqrt(235 / fy)
    if 't' in s:
        return (max(s['b'], s['h']) - 3 * s['t']) / s['t'] <= 42 * e
    return (s['b'] - s['tw'] - 2 * s['r']) / 2 / s['tf'] <= 14 * e and (s['h'] - 2 * s['tf'] - 2 * s['r']) / s['tw'] <= 42 * e


def chi_of(lam, alpha):
    if lam <= 0.2:
        return 1.0
    phi = 0.5 * (1 + alpha * (lam - 0.2) + lam**2)
    return min(1.0, 1 / (phi + sqrt(phi**2 - lam**2)))


def eu_mb(s, fy, W, L):
    Mcr = pi**2 * E_EU * s['Iz'] / L**2 * sqrt(s['Iw'] / s['Iz'] + L**2 * G_EU * s['It'] / (pi**2 * E_EU * s['Iz']))
    ratio = s['h'] / s['b']
    alpha = ALPHA['b' if ratio <= 2 else 'c' if ratio <= 3.1 else 'd']
    lam = sqrt(W * fy / Mcr)
    if lam <= 0.4:
        return W * fy
    phi = 0.5 * (1 + alpha * (lam - 0.4) + 0.75 * lam**2)
    return min(1, 1 / lam**2, 1 / (phi + sqrt(phi**2 - 0.75 * lam**2))) * W * fy


def eu_nb(s, fy, axis, L):
    if 't' in s:
        alpha = ALPHA['a']
    elif s['h'] / s['b'] > 1.2:
        alpha = ALPHA['a' if axis == 'y' else 'b']
    else:
        alpha = ALPHA['b' if axis == 'y' else 'c']
    Ncr = pi**2 * E_EU * s['I' + axis] / L**2
    return chi_of(sqrt(s['A'] * fy / Ncr), alpha) * s['A'] * fy


TABLES = {}

# Section, grade, unbraced length mm, Mc,Rd kNm, Vpl,Rd kN, Mb,Rd kNm with C1 = 1.
table = TABLES['EUROPEAN_BEAMS'] = []
for name in ('UB 127x76x13', 'UB 203x133x25', 'UB 254x102x22', 'UB 254x146x43', 'UB 305x127x48', 'UB 356x171x67', 'UB 406x178x74', 'UB 457x152x82', 'UB 457x191x98', 'UB 533x210x122', 'UB 610x229x140', 'UC 152x152x23', 'UC 203x203x86', 'UC 305x305x97', 'IPE 160', 'IPE 300', 'IPE 450', 'HEA 200', 'HEA 300', 'HEB 240'):
    s = eu(name)
    for grade, L in (('S275', 2500), ('S355', 4000), ('S355', 9000)):
        fy = fy_of(grade, max(s['tf'], s['tw']))
        c = eu_class_bending(s, fy)
        if c == 4 or (s['h'] - 2 * s['tf']) / s['tw'] > 72 * sqrt(235 / fy):
            continue
        W = s['Wpl'] if c <= 2 else s['Wel']
        Av = max(s['A'] - 2 * s['b'] * s['tf'] + (s['tw'] + 2 * s['r']) * s['tf'], (s['h'] - 2 * s['tf']) * s['tw'])
        table.append([name, grade, L, round(W*fy/1e6, 3), round(Av*fy/sqrt(3)/1e3, 2), round(eu_mb(s, fy, W, L)/1e6, 3)])

# Section, grade, effective lengths mm, Nb,y,Rd kN, Nb,z,Rd kN.
table = TABLES['EUROPEAN_COLUMNS'] = []
for name in ('UC 152x152x37', 'UC 203x203x46', 'UC 254x254x107', 'UC 305x305x118', 'HEA 160', 'HEB 200', 'UB 203x133x30', 'IPE 200', 'SHS 80x80x5', 'SHS 120x120x6.3', 'SHS 200x200x8', 'RHS 200x100x8'):
    s = eu(name)
    for grade, Ly, Lz in (('S275', 2000, 2000), ('S355', 3500, 3000), ('S355', 7000, 5000)):
        hollow = 't' in s
        t = s['t'] if hollow else max(s['tf'], s['tw'])
        fy = fy_of(grade, t)
        if not eu_compact_in_compression(s, fy):
            continue
        table.append([name, grade + ('H' if hollow else ''), Ly, Lz, round(eu_nb(s, fy, 'y', Ly)/1e3, 2), round(eu_nb(s, fy, 'z', Lz)/1e3, 2)])


def us_mn(s, Lb, Fy=50.0, E=29000.0):
    Mp = Fy * s['Wpl']
    ry, h0 = sqrt(s['Iz'] / s['A']), s['h'] - s['tf']
    Sx = s['Wel']
    rts = sqrt(sqrt(s['Iz'] * s['Iw']) / Sx)
    j = s['It'] / (Sx * h0)
    Lp = 1.76 * ry * sqrt(E / Fy)
    Lr = 1.95 * rts * E / (0.7 * Fy) * sqrt(j + sqrt(j * j + 6.76 * (0.7 * Fy / E) ** 2))
    if Lb <= Lp:
        return Mp
    if Lb <= Lr:
        return min(Mp, Mp - (Mp - 0.7 * Fy * Sx) * (Lb - Lp) / (Lr - Lp))
    return min(Mp, Sx * pi**2 * E / (Lb / rts) ** 2 * sqrt(1 + 0.078 * j * (Lb / rts) ** 2))


def us_pn(s, axis, L, Fy=50.0, E=29000.0):
    Fe = pi**2 * E / (L / sqrt(s['I' + axis] / s['A'])) ** 2
    F = 0.658 ** (Fy / Fe) * Fy if Fy / Fe <= 2.25 else 0.877 * Fe
    return F * s['A']


def us_slender(s, Fy=50.0, E=29000.0):
    root = sqrt(E / Fy)
    if 't' in s:
        return (max(s['b'], s['h']) - 3 * s['t']) / s['t'] > 1.4 * root
    return s['b'] / 2 / s['tf'] > 0.56 * root or (s['h'] - 2 * s['tf'] - 2 * s['r']) / s['tw'] > 1.49 * root


# Section, unbraced length ft, Mp, Mn of lateral-torsional buckling with Cb = 1 (kip-ft), Vn (kip), A992.
table = TABLES['AMERICAN_BEAMS'] = []
for name in ('W8X18', 'W8X40', 'W10X22', 'W10X49', 'W12X26', 'W12X53', 'W14X30', 'W14X61', 'W16X36', 'W16X57', 'W18X35', 'W18X60', 'W21X50', 'W21X68', 'W24X55', 'W24X84', 'W27X84', 'W30X90'):
    s = us(name)
    for Lb in (4, 12, 28):
        h_tw = (s['h'] - 2 * s['tf'] - 2 * s['r']) / s['tw']
        Vn = 0.6 * 50 * s['h'] * s['tw'] * min(1, (1 if h_tw <= 2.24 * sqrt(29000 / 50) else 1.1 * sqrt(5.34 * 29000 / 50) / h_tw))
        table.append([name, Lb, round(50*s['Wpl']/12, 2), round(us_mn(s, 12*Lb)/12, 2), round(Vn, 2)])

# Section, grade, effective length ft, Pn about x and about y, kip.
table = TABLES['AMERICAN_COLUMNS'] = []
for name in ('W8X31', 'W8X67', 'W10X33', 'W10X60', 'W12X65', 'W14X61', 'W14X90', 'HSS4X4X3/8', 'HSS6X6X3/8', 'HSS8X4X1/4', 'HSS8X8X1/2'):
    s = us(name)
    for L in (8, 16, 30):
        if us_slender(s):
            continue
        table.append([name, 'A500C' if 't' in s else 'A992', L, round(us_pn(s, 'y', 12*L), 2), round(us_pn(s, 'z', 12*L), 2)])

# one row to a line
with open('core/src/standard/expected/apart.json', 'w') as file:
    blocks = [f'"{name}": [\n' + ',\n'.join(json.dumps(row) for row in rows) + '\n]' for name, rows in TABLES.items()]
    file.write('{\n' + ',\n'.join(blocks) + '\n}\n')
