import { useRouter } from 'vue-router'

/** @return shows a reel by its id, on its first bench */
export function useOpenReel(): (reel: string) => Promise<unknown> {
  const router = useRouter()
  return (reel) => router.push(`/reels/${reel}`)
}
