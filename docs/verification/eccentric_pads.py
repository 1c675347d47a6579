"""Demands of pads whose column stands off the middle, written apart from the program, whole base in contact. M and V by integration over the base; punching by EN 1992-1-1 (6.51) and ACI 318-19 8.4.4.2 with
the moment of the uneven pressure inside by integration. Bars of 16 mm under 50 mm of cover. Prints JSON for core/src/standard/eccentricPad.test.ts."""
import json, math

def case(N, B, L, h, c1, c2, ex, ey):
    d1 = h - 50 - 8; d2 = d1 - 16; d = (d1 + d2) / 2
    q = lambda x, y: N / (B * L) * (1 + 12 * ex * x / B**2 + 12 * ey * y / L**2)
    out = {"N": N, "B": B, "L": L, "h": h, "c1": c1, "c2": c2, "ex": ex, "ey": ey}
    for name, span, across, c, e, dd in (("x", B, L, c1, ex, d1), ("y", L, B, c2, ey, d2)):
        line = lambda s: N / (B * L) * (1 + 12 * e * s / span**2)   # mean over the width
        n = 4000
        def cut(face, end, arm):
            ds = (end - face) / n
            return sum(line(face + (i + .5) * ds) * across * ((i + .5) * abs(ds) if arm else 1) * abs(ds) for i in range(n))
        M = max(cut(e + c / 2, span / 2, True), cut(e - c / 2, -span / 2, True))
        V = 0.0
        for s in (1, -1):
            if s * span / 2 > s * (e + s * (c / 2 + dd)) if s > 0 else -span / 2 < e - c / 2 - dd:
                V = max(V, cut(e + s * (c / 2 + dd), s * span / 2, False))
        out[name] = {"M": M, "V": V}
    p = q(ex, ey)
    gx, gy = 12 * N * abs(ex) / (B**3 * L), 12 * N * abs(ey) / (L**3 * B)
    def k(r):
        pts = [(.5, .45), (1, .6), (2, .7), (3, .8)]
        if r <= .5: return .45
        for (r0, k0), (r1, k1) in zip(pts, pts[1:]):
            if r <= r1: return k0 + (k1 - k0) * (r - r0) / (r1 - r0)
        return .8
    def Wint(c, o, a):
        """integral of |x| round the perimeter at a: two sides across, two along, four quarter circles"""
        n = 20000
        s = 2 * o * (c / 2 + a) + 2 * (c / 2)**2
        s += 4 * sum((c / 2 + a * math.cos((i + .5) / n * math.pi / 2)) for i in range(n)) * a * math.pi / 2 / n
        return s
    def v(a):
        u = 2 * (c1 + c2) + 2 * math.pi * a
        A = c1 * c2 + 2 * (c1 + c2) * a + math.pi * a * a
        V = max(0, N - p * A)
        beta = 1.0
        for g, c, o in ((gx, c1, c2), (gy, c2, c1)):
            if g and V:
                M = g * (o + 2 * a) * (c + 2 * a)**3 / 12
                beta += k(c / o) * M * u / (V * Wint(c, o, a))
        return beta * V / (u * d)
    reach = min(2 * d, B / 2 - abs(ex) - c1 / 2, L / 2 - abs(ey) - c2 / 2)
    best = max((reach * i / 40 for i in range(1, 41)), key=lambda a: v(a) * a)
    out["face"], out["ring"] = v(0), v(best)
    # perimeters that run to an edge, by brute force: the perimeter by its points, the area inside by a grid
    X, Y = abs(ex), abs(ey)
    def edge(a):
        W_, E_, S_, N_ = -(B / 2 + X), B / 2 - X, -(L / 2 + Y), L / 2 - Y
        pts = []
        n = 3000
        for (hx, hy, t0) in ((c1 / 2, c2 / 2, 0), (-c1 / 2, c2 / 2, 1), (-c1 / 2, -c2 / 2, 2), (c1 / 2, -c2 / 2, 3)):
            for i in range(n):
                t = (t0 + (i + .5) / n) * math.pi / 2
                pts.append((hx + a * math.cos(t), hy + a * math.sin(t), a * math.pi / 2 / n))
        for s in (1, -1):
            for i in range(n):
                pts.append((-c1 / 2 + (i + .5) / n * c1, s * (c2 / 2 + a), c1 / n))
                pts.append((s * (c1 / 2 + a), -c2 / 2 + (i + .5) / n * c2, c2 / n))
        pts = [q_ for q_ in pts if W_ < q_[0] < E_ and S_ < q_[1] < N_]
        u = sum(l for _, _, l in pts)
        xc, yc = sum(x * l for x, _, l in pts) / u, sum(y * l for _, y, l in pts) / u
        m = 500
        hx, hy = c1 / 2 + a, c2 / 2 + a
        F = MX = MY = 0.0
        da = 4 * hx * hy / m / m
        for i in range(m):
            x = -hx + (i + .5) / m * 2 * hx
            if not W_ < x < E_: continue
            for j in range(m):
                y = -hy + (j + .5) / m * 2 * hy
                if not S_ < y < N_: continue
                if math.hypot(max(0, abs(x) - c1 / 2), max(0, abs(y) - c2 / 2)) > a: continue
                f = (p + gx * x + gy * y) * da
                F += f; MX += f * (x - xc); MY += f * (y - yc)
        V = max(0, N - F)
        beta = 1.0
        if V:
            beta += k(c1 / c2) * abs(-N * xc - MX) * u / (V * sum(abs(x - xc) * l for x, _, l in pts))
            beta += k(c2 / c1) * abs(-N * yc - MY) * u / (V * sum(abs(y - yc) * l for _, y, l in pts))
        return beta * V / (u * d)
    if reach < 2 * d:
        trials = [reach + (2 * d - reach) * i / 20 for i in range(1, 21)]
        out["edge"] = max((edge(a) * a, edge(a)) for a in trials)[1]
    else: out["edge"] = None
    b0 = 2 * (c1 + c2 + 2 * d)
    Vu = N - p * (c1 + d) * (c2 + d)
    tau = 0.0
    for g, b1, b2 in ((gx, c1 + d, c2 + d), (gy, c2 + d, c1 + d)):
        n = 2000
        M = sum(g * ((i + .5) / n - .5)**2 * b1**3 / n * b2 for i in range(n))
        J = d * b1**3 / 6 + b1 * d**3 / 6 + d * b2 * b1**2 / 2
        tau += (1 - 1 / (1 + 2 / 3 * math.sqrt(b1 / b2))) * M * (b1 / 2) / J
    out["twoWay"] = Vu + tau * b0 * d
    return out

cases = [(900e3, 2400, 2400, 500, 300, 300, 150, 0), (900e3, 2400, 2400, 500, 300, 300, 0, -250), (1400e3, 3000, 2600, 600, 400, 250, 200, 120),
         (600e3, 2000, 2800, 450, 200, 350, -120, 200), (2000e3, 4000, 3600, 700, 450, 450, 300, -180), (400e3, 2000, 2000, 400, 200, 200, 300, 0)]
def rounded(o): return {k: rounded(v) if isinstance(v, dict) else v if v is None else float("%.6g" % v) for k, v in o.items()}
print(json.dumps([rounded(case(*c)) for c in cases], indent=1))
