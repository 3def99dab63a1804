/** The normal distribution, as readings and answers are off by. */

/** One draw, of standard deviation 1 (Box and Muller 1958). @param random evenly between 0 and 1; asked twice */
export const normalDraw = (random: () => number): number =>
  Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());

/** Share of it below x, in standard deviations: the logistic fit of Bowling and others (2009), good to 0.0002. */
export const normalBelow = (x: number): number => 1 / (1 + Math.exp(-(0.07056 * x ** 3 + 1.5976 * x)));
