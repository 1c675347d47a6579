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
def rounded(o): return {k: rounded(v) if isinstance(v, dict) else float("%.6g" % v) for k, v in o.items()}
print(json.dumps([rounded(case(*c)) for c in cases], indent=1))
