/** What the judge's worker fetches when a line is opened: everything that is asked of one line beyond its verdict. */
export { hintsFor } from '$core/advise/hints';
export { remediesFor } from '$core/advise/remedies';
export { Stock } from '$core/advise/stock';
export { influences } from '$core/rig/influence';
export { Trace } from '$core/trace/infer';
export { traceView } from '$core/trace/view';
export { suspectNoise } from '$core/sound/noise';
export { remeasured } from '$core/trace/measured';
export { curesInSteps } from '$core/trace/cures';
export { earthMap } from '$core/trace/map';
export { explain } from '$core/linecheck/explain';
export { explainPair } from '$core/linecheck/pair';
export { venueOf } from '$core/linecheck/venue';
