"""Greatest pressure under a rigid rectangular base, written apart from the program: full contact by the flexure formula, partial contact one way by
the triangle, both ways by bisection on the neutral line with the base cut into strips. Prints JSON for core/src/design/contactPressure.test.ts."""
import json, math

def strips(B, L, e_x, e_y, n=4000):
    """Unit load at (e_x, e_y): the neutral line is x cos t + y sin t = r. For a line the resultant of the wedge beyond it is found by strips along x,
    each exact along y; t and r are found so that it passes through the load."""
    def wedge(t, r):
        c, s = math.cos(t), math.sin(t)
        F = X = Y = area = 0.0
        dx = B / n
        for i in range(n):
            x = -B / 2 + (i + 0.5) * dx
            # pressure k = x c + y s - r > 0, s > 0
            y0 = max(-L / 2, min(L / 2, (r - x * c) / s))
            y1 = L / 2
            h = y1 - y0
            if h <= 0: continue
            k0, k1 = x * c + y0 * s - r, x * c + y1 * s - r
            f = (k0 + k1) / 2 * h * dx
            F += f; X += f * x
            Y += dx * h * (k0 * (2 * y0 + y1) + k1 * (y0 + 2 * y1)) / 6
            area += h * dx
        return F, X / F, Y / F, area
    best = None
    lo_t, hi_t = 1e-6, math.pi / 2 - 1e-6
    def r_for(t):
        # the resultant moves towards the corner as r grows: match its place along the normal
        want = e_x * math.cos(t) + e_y * math.sin(t)
        top = B / 2 * math.cos(t) + L / 2 * math.sin(t)
        a, b = -3 * (B + L), top * (1 - 1e-9)
        for _ in range(80):
            m = (a + b) / 2
            F, x, y, _ = wedge(t, m)
            if x * math.cos(t) + y * math.sin(t) < want: a = m
            else: b = m
        return (a + b) / 2
    for _ in range(50):
        t = (lo_t + hi_t) / 2
        r = r_for(t)
        F, x, y, area = wedge(t, r)
        # beside the load: turn the line
        if x * math.sin(t) - y * math.cos(t) > e_x * math.sin(t) - e_y * math.cos(t): lo_t = t
        else: hi_t = t
    top = B / 2 * math.cos(t) + L / 2 * math.sin(t)
    return (top - r) / F, area / (B * L)

def most(N, B, L, ex, ey):
    ex, ey = abs(ex), abs(ey)
    if 6 * ex / B + 6 * ey / L <= 1: return N / (B * L) * (1 + 6 * ex / B + 6 * ey / L), 1.0
    if ey == 0: return 2 * N / (3 * (B / 2 - ex) * L), 3 * (B / 2 - ex) / B
    if ex == 0: return 2 * N / (3 * (L / 2 - ey) * B), 3 * (L / 2 - ey) / L
    q, part = strips(B, L, ex, ey, 600)
    return N * q, part

cases = [(500e3, 2000, 3000, 0, 0), (500e3, 2000, 3000, 200, 0), (500e3, 2000, 3000, 0, -400), (500e3, 2000, 3000, 150, 200),
         (500e3, 2000, 3000, 500, 0), (800e3, 2400, 2400, 0, 900), (500e3, 2000, 3000, 300, 500), (500e3, 2000, 2000, -400, 400),
         (300e3, 1500, 2500, 500, -200), (900e3, 3000, 2000, 900, 500), (250e3, 1800, 1800, 700, 100), (250e3, 1800, 1800, 700, 700)]
out = []
for c in cases:
    q, part = most(*c)
    out.append({"force": c[0], "width": c[1], "length": c[2], "x": c[3], "y": c[4], "most": float("%.6g" % q), "contact": float("%.6g" % part)})
print(json.dumps(out, indent=1))
