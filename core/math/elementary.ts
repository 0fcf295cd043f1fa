/**
 * Sine, cosine, exponential and logarithm from +, −, × and ÷ alone. Engines may round their own in different ways;
 * these give the same bits everywhere, which is what makes a shot the same in every browser and on the server.
 */

const TWO_OVER_PI = 0.6366197723675814;
/** π/2 in three parts, the first two with trailing zeros, so that k·part is exact for |k| < 2²⁰. */
const HALF_PI_1 = 1.5707963267341256;
const HALF_PI_2 = 6.077100506303966e-11;
const HALF_PI_3 = 2.0222662487959506e-21;
/** ln 2 in two parts, for the same reason. */
const LN2_1 = 0.6931471803691238;
const LN2_2 = 1.9082149292705877e-10;
const SQRT2 = 1.4142135623730951;

/** Taylor series of sin(r)/r − 1 in r², enough for |r| ≤ π/4. */
function sinSmall(r: number): number {
  const z = r * r;
  const series =
    z *
    (-1 / 6 +
      z *
        (1 / 120 +
          z *
            (-1 / 5040 +
              z * (1 / 362880 + z * (-1 / 39916800 + z * (1 / 6227020800 + z * (-1 / 1307674368000)))))));
  return r + r * series;
}

/** Taylor series of cos(r), enough for |r| ≤ π/4. */
function cosSmall(r: number): number {
  const z = r * r;
  const series =
    z *
    (1 / 24 +
      z *
        (-1 / 720 +
          z *
            (1 / 40320 +
              z * (-1 / 3628800 + z * (1 / 479001600 + z * (-1 / 87178291200 + z / 20922789888000))))));
  return 1 - z * (0.5 - series);
}

function reduced(x: number, k: number): number {
  return x - k * HALF_PI_1 - k * HALF_PI_2 - k * HALF_PI_3;
}

/** The sine of x, radians, |x| < 10⁶; within 2 units in the last place. */
export function sine(x: number): number {
  const k = Math.round(x * TWO_OVER_PI);
  const r = reduced(x, k);
  switch (k & 3) {
    case 0:
      return sinSmall(r);
    case 1:
      return cosSmall(r);
    case 2:
      return -sinSmall(r);
    default:
      return -cosSmall(r);
  }
}

/** The cosine of x, radians, |x| < 10⁶; within 2 units in the last place. */
export function cosine(x: number): number {
  const k = Math.round(x * TWO_OVER_PI);
  const r = reduced(x, k);
  switch (k & 3) {
    case 0:
      return cosSmall(r);
    case 1:
      return -sinSmall(r);
    case 2:
      return -cosSmall(r);
    default:
      return sinSmall(r);
  }
}

/** 2 to the power of a whole number, exact, by squaring. */
function powerOfTwo(k: number): number {
  let factor = k < 0 ? 0.5 : 2;
  let result = 1;
  for (let left = Math.abs(k); left > 0; left >>= 1) {
    if ((left & 1) === 1) result *= factor;
    factor *= factor;
  }
  return result;
}

/** e to the power of x, |x| < 700; within 2 units in the last place. */
export function exponential(x: number): number {
  const k = Math.round(x / (LN2_1 + LN2_2));
  const r = x - k * LN2_1 - k * LN2_2;
  const high =
    1 / 5040 +
    r *
      (1 / 40320 +
        r * (1 / 362880 + r * (1 / 3628800 + r * (1 / 39916800 + r * (1 / 479001600 + r / 6227020800)))));
  const sum =
    1 + r * (1 + r * (1 / 2 + r * (1 / 6 + r * (1 / 24 + r * (1 / 120 + r * (1 / 720 + r * high))))));
  return sum * powerOfTwo(k);
}

/** The natural logarithm. @param x > 0 and finite */
export function logarithm(x: number): number {
  let m = x;
  let k = 0;
  while (m >= SQRT2) {
    m *= 0.5;
    k++;
  }
  while (m < SQRT2 / 2) {
    m *= 2;
    k--;
  }
  // log m = 2·artanh z with |z| ≤ 0.172.
  const z = (m - 1) / (m + 1);
  const w = z * z;
  let series = 0;
  for (let n = 25; n >= 1; n -= 2) series = series * w + 1 / n;
  return k * LN2_1 + (2 * z * series + k * LN2_2);
}
