/**
 * Closed forms of diffusion in a plane sheet, for tests of the numerical model and for quick estimates.
 * Source: J. Crank, The Mathematics of Diffusion, 2nd ed., Oxford 1975, equations named at each function.
 * Series are summed until a term is below 1e-17; for Fourier numbers of 1e-4 and more this is exact to rounding.
 */
const SMALLEST_TERM = 1e-17
const MOST_TERMS = 10_000

function alternatingSum(decayPerSquare: number): number {
  let sum = 0
  for (let n = 1; n <= MOST_TERMS; n++) {
    const term = Math.exp(-n * n * decayPerSquare)
    sum += n % 2 === 0 ? term : -term
    if (term < SMALLEST_TERM) break
  }
  return sum
}

/**
 * All cure on both faces at t = 0, none leaving: centre over final concentration.
 * `fourier` is Dt/L2 with L the half-thickness, more than 0. Source: Crank 2.17 by reflection.
 */
export const centreOverFinal = (fourier: number): number => 1 + 2 * alternatingSum(Math.PI ** 2 * fourier)

/** All cure on one face at t = 0: far face over final. `fourier` is Dt/l2 with l the whole thickness. */
export const farFaceOverFinal = (fourier: number): number => 1 + 2 * alternatingSum(Math.PI ** 2 * fourier)

/** Faces held at one concentration: centre over face. `fourier` is Dt/L2, L the half-thickness. Source: Crank 4.17. */
export function centreOverFace(fourier: number): number {
  let sum = 0
  for (let n = 0; n <= MOST_TERMS; n++) {
    const odd = 2 * n + 1
    const term = Math.exp((-(odd ** 2) * Math.PI ** 2 * fourier) / 4) / odd
    sum += n % 2 === 0 ? term : -term
    if (term < SMALLEST_TERM) break
  }
  return 1 - (4 / Math.PI) * sum
}

/** n-th positive root of tan q = -alpha q, which lies between (n - 1/2) pi and n pi. Bisection to the last bit. */
function bathRoot(alpha: number, n: number): number {
  let low = (n - 0.5) * Math.PI
  let high = n * Math.PI
  // q cos form has no pole: f(q) = sin q + alpha q cos q changes sign once in the bracket.
  const f = (q: number) => Math.sin(q) + alpha * q * Math.cos(q)
  const signAtLow = Math.sign(f(low))
  for (let i = 0; i < 200; i++) {
    const middle = (low + high) / 2
    if (middle === low || middle === high) break
    if (Math.sign(f(middle)) === signAtLow) low = middle
    else high = middle
  }
  return (low + high) / 2
}

/**
 * Well-stirred limited bath (wet cure): uptake over final uptake. `alpha` is bath over slab volume, more than 0;
 * `fourier` is Dt/L2, L the half-thickness, more than 0. Source: Crank 4.37.
 */
export function limitedBathUptake(alpha: number, fourier: number): number {
  let left = 0
  for (let n = 1; n <= MOST_TERMS; n++) {
    const q = bathRoot(alpha, n)
    const term = ((2 * alpha * (1 + alpha)) / (1 + alpha + alpha ** 2 * q ** 2)) * Math.exp(-(q ** 2) * fourier)
    left += term
    if (term < SMALLEST_TERM) break
  }
  return 1 - left
}
