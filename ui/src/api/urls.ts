/** Addresses of pictures; what is behind one never changes. */
export const frameUrl = (reel: string, drawn: string, width: number, without: number[] = []): string =>
  `/api/reels/${reel}/frames/${drawn}.png?width=${width}${without.length > 0 ? `&without=${without.join(',')}` : ''}`

/** As above, for the one that somebody waits for: it is drawn before all others. */
export const frameNowUrl = (reel: string, drawn: string, width: number, without: number[] = []): string =>
  `${frameUrl(reel, drawn, width, without)}&now=true`

export const artUrl = (reel: string, cutout: number, art: string, width: number): string =>
  `/api/reels/${reel}/cutouts/${cutout}/${art}.png?width=${width}`

export const previewUrl = (reel: string, preview: string): string => `/api/reels/${reel}/previews/${preview}.gif`

export const fileNowUrl = (reel: string, file: string): string => `/api/reels/${reel}/files/${file}.gif`

export const deliveryUrl = (delivery: string): string => `/api/deliveries/${delivery}.gif`
