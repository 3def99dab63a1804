/** What the judge's worker fetches when a line is opened: everything that is asked of one line beyond its verdict. */
export { hintsFor } from '$core/advise/hints';
export { remediesFor } from '$core/advise/remedies';
export { Stock } from '$core/advise/stock';
export { influences } from '$core/rig/influence';
export { explain } from '$core/check/explain';
export { venueOf } from '$core/check/venue';
