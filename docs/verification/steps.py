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

# The next three are taken between the two thicknesses of the sweep that lie on either side of the limit, so that they hold all that changes between them.


def chi(alpha, slender):
    """EN 1993-1-1 6.3.1.2."""
    phi = 0.5 * (1 + alpha * (slender - 0.2) + slender ** 2)
    return min(1, 1 / (phi + sqrt(phi ** 2 - slender ** 2)))


def before_and_after(use, whole, limit):
    """use(t) over t = whole (1 - i / 200); the change where t passes the limit."""
    i = next(i for i in range(140) if whole * (1 - (i + 1) / 200) < limit)
    t0, t1 = whole * (1 - i / 200), whole * (1 - (i + 1) / 200)
    return use(t1) / use(t0) - 1, t0, t1


def tube_663(t):
    """(6.62), tube 200 cold formed (curve c), S355, L 3 m, N 100 kN, M_y 10 to 5 kNm; tables B.1 and B.3. gamma_M1 1."""
    A, I = pi * (200 - t) * t, pi / 64 * (200 ** 4 - (200 - 2 * t) ** 4)
    plastic = 200 / t <= 70 * EPS ** 2
    W = (200 ** 3 - (200 - 2 * t) ** 3) / 6 if plastic else I / 100
    slender = sqrt(A * 355 / (pi ** 2 * 210e3 * I / 3000 ** 2))
    share = 100e3 / (chi(0.49, slender) * A * 355)
    Cm = 0.6 + 0.4 * 0.5
    if plastic:
        kyy = min(Cm * (1 + (slender - 0.2) * share), Cm * (1 + 0.8 * share))
        kzy = 0.6 * kyy
    else:
        kyy = min(Cm * (1 + 0.6 * slender * share), Cm * (1 + 0.6 * share))
        kzy = 0.8 * kyy
    return share + kzy * 10e6 / (W * 355)


print('EN 6.3.3, (6.62), tube', *before_and_after(tube_663, 12, 200 / (70 * EPS ** 2)))


def channel_sum(t):
    """Shares added up, moments grown by the secant: channel 300x100x9 with flanges t, S355, L 3 m, N 100 kN, M_z 3 kNm. Flanges of class 3 beyond 10 epsilon."""
    A, c, I, W, lo, hi = plates([(300, 0, 9), (2 * t, 9, 100)])
    fy = 355 if t <= 16 else 345
    Iy = 9 * (300 - 2 * t) ** 3 / 12 + 2 * (100 * t ** 3 / 12 + 100 * t * (150 - t / 2) ** 2)
    h, b = 300 - t, 100 - 4.5
    e = 3 * b ** 2 * t / (6 * b * t + h * 9)
    Iw = t * b ** 3 * h ** 2 / 12 * (3 * b * t + 2 * h * 9) / (6 * b * t + h * 9)
    It = (2 * b * t ** 3 + h * 9 ** 3) / 3
    y0 = e + (c - 4.5)
    i02 = (Iy + I) / A + y0 ** 2
    Ny, Nz = (pi ** 2 * 210e3 * J / 3000 ** 2 for J in (Iy, I))
    NT = (81e3 * It + pi ** 2 * 210e3 * Iw / 3000 ** 2) / i02
    beta = 1 - y0 ** 2 / i02
    NTF = Ny / (2 * beta) * (1 + NT / Ny - sqrt((1 - NT / Ny) ** 2 + 4 * (y0 ** 2 / i02) * NT / Ny))
    N = min(Ny, Nz, NT, NTF)
    Nb = min(chi(0.49, sqrt(A * fy / n)) * A * fy for n in (Ny, Nz, NT, NTF))
    M = (W if (100 - 9) / t <= 10 * sqrt(235 / fy) else I / (100 - c)) * fy
    from math import cos
    return 100e3 / Nb + 3e6 / M / cos(pi / 2 * sqrt(100e3 / N))


print('EN 6.2.5 in the sum of shares, channel', *before_and_after(channel_sum, 18, (100 - 9) / (10 * EPS)))


def box_h1(t):
    """Built-up box 200x120, A992, KL 3 m, P 100 kN, M 10 kNm about the major axis: E3, E7, F7, H1.1. Clear widths (B4.1b(e)), tables B4.1a case 8,
    B4.1b cases 19 and 21; LRFD."""
    E, Fy = 200e3, 345
    b, h = 120 - 2 * t, 200 - 2 * t
    A = 200 * 120 - b * h
    Ix, Iy = (200 ** 3 * 120 - h ** 3 * b) / 12, (120 ** 3 * 200 - b ** 3 * h) / 12
    Pn = float('inf')
    for I in (Ix, Iy):
        Fe = pi ** 2 * E / (3000 ** 2 * A / I)
        Fcr = 0.658 ** (Fy / Fe) * Fy if Fy / Fe <= 2.25 else 0.877 * Fe
        Ae = A
        for w in (b, h):
            lam, lr = w / t, 1.49 * sqrt(E / Fy)
            if lam > lr * sqrt(Fy / Fcr):
                Fel = (1.31 * lr / lam) ** 2 * Fy
                Ae -= 2 * t * w * (1 - (1 - 0.18 * sqrt(Fel / Fcr)) * sqrt(Fel / Fcr))
        Pn = min(Pn, Fcr * Ae)
    Z, S = (120 * 200 ** 2 - b * h ** 2) / 4, Ix / 100
    lam = b / t
    assert h / t <= 2.42 * sqrt(E / Fy) and lam <= 1.49 * sqrt(E / Fy)
    Mn = Fy * Z
    if lam > 1.12 * sqrt(E / Fy):
        Mn = min(Mn, Mn - (Mn - Fy * S) * (3.57 * lam * sqrt(Fy / E) - 4))
    p, m = 100e3 / (0.9 * Pn), 10e6 / (0.9 * Mn)
    return (p + 8 / 9 * m) if p >= 0.2 else (p / 2 + m), p


low, high = 3.0, 6.0
for _ in range(100):
    mid = (low + high) / 2
    low, high = (low, mid) if box_h1(mid)[1] < 0.2 else (mid, high)
print('AISC H1.1, box (H1-1a) to (H1-1b)', *before_and_after(lambda t: box_h1(t)[0], 12, low))
