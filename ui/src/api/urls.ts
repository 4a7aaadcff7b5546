/** Addresses of pictures; what is behind one never changes. */
export const frameUrl = (reel: string, drawn: string, width: number, without: number[] = []): string =>
  `/api/reels/${reel}/frames/${drawn}.png?width=${width}${without.length > 0 ? `&without=${without.join(',')}` : ''}`

/** As above, for the one that somebody waits for: it is drawn before all others. */
export const frameNowUrl = (reel: string, drawn: string, width: number, without: number[] = []): string =>
  `${frameUrl(reel, drawn, width, without)}&now=true`

/** A layer of a frame: its ink, or what lies under or over it. */
export const layerUrl = (reel: string, layer: string): string => `/api/reels/${reel}/layers/${layer}.png`

export const artUrl = (reel: string, cutout: number, art: string, width: number): string =>
  `/api/reels/${reel}/cutouts/${cutout}/${art}.png?width=${width}`

export const previewUrl = (reel: string, preview: string): string => `/api/reels/${reel}/previews/${preview}.gif`

export const fileNowUrl = (reel: string, file: string): string => `/api/reels/${reel}/files/${file}.gif`

export const deliveryUrl = (delivery: string): string => `/api/deliveries/${delivery}.gif`

/** What is shown of a delivered frame: as the file has it, as it was drawn, or where the two differ. */
export type FrameSight = 'delivered' | 'drawn' | 'heat'

export const fileFrameUrl = (reel: string, file: string, place: number, sight: FrameSight): string =>
  `/api/reels/${reel}/files/${file}/frames/${place}/${sight}.png`

/** A piece of the picture under every dither, one below the other. */
export const dithersUrl = (reel: string, file: string): string => `/api/reels/${reel}/files/${file}/dithers.png`

/** All frames seen together; the revision only makes it another address after a change. */
export const overlayUrl = (reel: string, revision: number): string => `/api/reels/${reel}/overlays/${revision}.png`

export const trialUrl = (reel: string, trial: string): string => `/api/reels/${reel}/trials/${trial}.png`

/** A picture that is cut into frames, at most 1600 pixels a side. */
export const plateUrl = (picture: string): string => `/api/plates/${picture}.png`
