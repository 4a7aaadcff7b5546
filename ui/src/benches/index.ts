import type { Bench } from '@/ground/bench'
import { draw } from './draw/bench'
import { move } from './move/bench'
import { share } from './share/bench'
import { sheet } from './sheet/bench'
import { slim } from './slim/bench'

/** The benches, in the order of the work. A new one is its folder and a place here; its route and its tab follow. */
export const BENCHES: readonly Bench[] = [sheet, draw, move, slim, share]
