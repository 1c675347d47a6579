"""Sizes of the standards' own steps that core/src/standard/sweeps.test.ts meets, from the clauses alone.
Change of the use where the step lies, without what a sweep's own step adds. Run: python3 docs/verification/steps.py
N, mm, MPa. Shapes are plates and rings without radii."""
from math import pi, sqrt

EPS = sqrt(235 / 355)


def plates(parts):
    """parts: (width across the axis, from, to) along the axis of bending. A, centroid, I, Wpl."""
    A = sum(b * (z1 - z0) for b, z0, z1 in parts)
    c = sum(b * (z1 - z0) * (z0 + z1) / 2 for b, z0, z1 in parts) / A
    I = sum(b * ((z1 - c) ** 3 - (z0 - c) ** 3) / 3 for b, z0, z1 in parts)
    lo, hi = min(p[1] for p in parts), max(p[2] for p in parts)
    a, b_ = lo, hi
    for _ in range(200):
        m = (a + b_) / 2
        above = sum(b * max(0, min(z1, m) - z0) for b, z0, z1 in parts)
        a, b_ = (m, b_) if above < A / 2 else (a, m)
    p = a
    W = sum(b * abs((max(z1, p) - p) ** 2 - (max(z0, p) - p) ** 2) / 2 + b * abs((min(z1, p) - p) ** 2 - (min(z0, p) - p) ** 2) / 2
            for b, z0, z1 in parts)
    return A, c, I, W, lo, hi


print('EN 1993-1-5 8(1), k 0.4 to 0.55: fall', 0.4 / 0.55 - 1, 'rise', 0.55 / 0.4 - 1)
print('EN 1993-1-1 table 3.1, S355 above 16 mm: fall', 345 / 355 - 1)

# class 2 to 3 of a channel 300 x 90, flanges 14, minor axis: its web is pressed all over (limit 38 epsilon), bending of the flanges as outstands does not
# decide; the ratio of moduli where the web is 38 epsilon thick
tw = (300 - 28) / (38 * EPS)
A, c, I, W, lo, hi = plates([(300, 0, tw), (28, tw, 90)])
print('EN 6.2.5, channel about its minor axis, W_pl / W_el - 1:', W / (I / max(c - lo, hi - c)) - 1)

# tension flange of an I of unequal flanges grows thinner, hogging: back from class 3 to 2, W_el / W_pl - 1
t = 0.535 * 24
A, c, I, W, lo, hi = plates([(300, 0, t), (10, t, 585), (200, 585, 600)])
print('EN 6.2.5, back, W_el / W_pl - 1:', (I / max(c - lo, hi - c)) / W - 1)

# tube 200, class 2 to 3 at d/t = 70 epsilon^2, N 100 kN with M 3 kNm about the minor axis: (M / M_pl)^2 to N / A f_y + M / W_el f_y
t = 200 / (70 * EPS ** 2)
A = pi / 4 * (200 ** 2 - (200 - 2 * t) ** 2)
Wpl = (200 ** 3 - (200 - 2 * t) ** 3) / 6
Wel = pi / 32 * (200 ** 4 - (200 - 2 * t) ** 4) / 200
n, m = 100e3 / A / 355, 3e6 / 355
MN = min(1, 1.04 * (1 - n ** 1.7))
for power in (1, 2):
    before = (m / Wpl / MN) ** power
    print(f'EN 6.2.9, tube, exponent {power}:', (n + m / Wel) / before - 1, '; the sum alone', n + m / Wel, 'before', before)

# box 200 x 120, walls whole at 42 epsilon, reduced from 38.2: area that is lost at once
t = 200 / (42 * EPS + 3)
rho = (42 / 56.8 - 0.22) / (42 / 56.8) ** 2
c_ = 200 - 3 * t
A = 2 * t * (200 + 120 - 2 * t)
print('EN 1993-1-5 4.4, box: A / A_eff - 1', A / (A - 2 * c_ * t * (1 - rho)) - 1)

# (H1-1a) to (H1-1b) at P_r / P_c = 0.2, tube 200x6 of A992 (345 MPa), M 3 kNm
m = 3e6 / (0.9 * 345 * (200 ** 3 - 188 ** 3) / 6)
print('AISC H1.1, tube: (0.2 + 8/9 m) / (0.1 + m) - 1', (0.2 + 8 / 9 * m) / (0.1 + m) - 1)

# F4.2: I_yc / I_y passes 0.23 as the tension flange grows thinner: R_pc from 1 to M_p / M_yc or less, by the web
E, Fy = 200e3, 345
t = 15 * 200 ** 3 / 12 * (1 / 0.23 - 1) / (300 ** 3 / 12)
A, c, I, Z, lo, hi = plates([(300, 0, t), (10, t, 585), (200, 585, 600)])
Sxc, Sxt = I / (600 - c), I / c
Mp, Myc = min(Fy * Z, 1.6 * Fy * min(Sxc, Sxt)), Fy * Sxc
hc = 2 * (600 - c - 15)
half = A / 2
p = (half - 300 * t) / 10 + t
hp = 2 * (600 - p - 15)
lw, lpw, lrw = hc / 10, hc / hp * sqrt(E / Fy) / (0.54 * Mp / (Fy * min(Sxc, Sxt)) - 0.09) ** 2, 5.7 * sqrt(E / Fy)
lpw = min(lpw, lrw)
Rpc = Mp / Myc if lw <= lpw else min(Mp / Myc, Mp / Myc - (Mp / Myc - 1) * (lw - lpw) / (lrw - lpw))
print('AISC F4.2, I_yc / I_y of 0.23: 1 / R_pc - 1', 1 / Rpc - 1, 'web', lw, lpw, lrw)

# F2 to F4: own I 800x300 x tw x 16 at h/tw of 3.76 root(E / F_y), L_b 3 m, C_b 1
h, b, tf = 800, 300, 16
tw = (h - 2 * tf) / (3.76 * sqrt(E / Fy))
Af, d0, hw = b * tf, h - tf, h - 2 * tf
A, c, I, Z, lo, hi = plates([(b, 0, tf), (tw, tf, h - tf), (b, h - tf, h)])
S = I / 400
Iy = 2 * tf * b ** 3 / 12 + hw * tw ** 3 / 12
J = (2 * b * tf ** 3 + hw * tw ** 3) / 3
Cw = Iy * d0 ** 2 / 4
ry = sqrt(Iy / A)
rts = sqrt(sqrt(Iy * Cw) / S)
Lp2 = 1.76 * ry * sqrt(E / Fy)
q = J / (S * d0)
Lr2 = 1.95 * rts * E / (0.7 * Fy) * sqrt(q + sqrt(q ** 2 + 6.76 * (0.7 * Fy / E) ** 2))
Mp = Fy * Z
M2 = Mp - (Mp - 0.7 * Fy * S) * (3000 - Lp2) / (Lr2 - Lp2)
aw = hw * tw / Af
rt = b / sqrt(12 * (1 + aw / 6))
Lp4 = 1.1 * rt * sqrt(E / Fy)
Lr4 = 1.95 * rt * E / (0.7 * Fy) * sqrt(q + sqrt(q ** 2 + 6.76 * (0.7 * Fy / E) ** 2))
M4 = Mp - (Mp - 0.7 * Fy * S) * (3000 - Lp4) / (Lr4 - Lp4)
print('AISC F2 to F4: M_n2 / M_n4 - 1', M2 / M4 - 1)

# (F1-1) is for single curvature: C_b of a moment that falls in a straight line to nothing, and 1 just beyond; of the use after it
print('AISC F1: 1 - 1 / C_b', 1 - (2.5 + 3 * 0.75 + 4 * 0.5 + 3 * 0.25) / 12.5)
