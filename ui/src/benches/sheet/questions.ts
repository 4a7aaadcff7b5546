import { limits } from '@/api/limits'
import { durationText, framesText, paceText } from '@/parts/format'
import { useReel } from '@/reel/store'
import { useSelection } from '@/reel/selection'
import { useArranging } from './arranging'
import { useAsking } from './asking'

/** The questions of one answer that come before a change of the chosen frames, or of all. */
export function useQuestions() {
  const store = useReel()
  const selection = useSelection()
  const arranging = useArranging()
  const asking = useAsking()

  const playing = (): number => store.frames.filter((f) => !f.leftOut && arranging.affected.includes(f.id)).length
  const millis = (): number => (selection.ids.length > 0 ? selection.millis : (store.reel?.loopMillis ?? 0))

  function repeat(): void {
    asking.ask({
      title: `Repeat ${asking.which}`,
      label: 'Times in all',
      verb: 'Repeat',
      value: 2,
      ...limits.RepeatFrames.times,
      leadsTo: (times) =>
        `${framesText(arranging.affected.length * times)}, ${durationText(millis() * times)}, in place of ${framesText(arranging.affected.length)}, ${durationText(millis())}.`,
      run: (times: number) => arranging.repeat(times),
    })
  }

  function position(): void {
    asking.ask({
      title: `Move ${asking.which}`,
      label: 'To position',
      verb: 'Move',
      value: store.ids.indexOf(selection.ids[0] as number) + 1,
      min: 1,
      max: store.ids.length,
      run: (number: number) => arranging.moveToNumber(number),
    })
  }

  function thin(): void {
    asking.ask({
      title: `Thin out ${asking.which}`,
      label: 'Keep every',
      suffix: 'n-th',
      verb: 'Thin out',
      value: 2,
      ...limits.ThinFrames.keepEvery,
      leadsTo: (n) =>
        `${framesText(Math.ceil(playing() / n))} of ${playing()} stay and take over the time of the others: still ${durationText(millis())} in all.`,
      run: (n: number) => arranging.thin(n),
    })
  }

  function everyNth(): void {
    const start = Math.max(0, selection.focused === null ? 0 : store.ids.indexOf(selection.focused))
    asking.ask({
      title: `Select every n-th from frame ${start + 1}`,
      label: 'Every',
      suffix: 'n-th',
      verb: 'Select',
      value: 3,
      min: 2,
      max: Math.max(2, store.ids.length),
      leadsTo: (n) => framesText(Math.ceil((store.ids.length - start) / n)),
      run: (n: number) => selection.everyNth(n, start),
    })
  }

  function fitTotal(): void {
    asking.ask({
      title: `Fit ${asking.which} to a total`,
      label: 'Total',
      suffix: 'ms',
      verb: 'Fit',
      value: millis(),
      min: limits.SetDelay.delayMillis.min * Math.max(1, playing()),
      max: limits.SetDelay.delayMillis.max * Math.max(1, playing()),
      leadsTo: (total) =>
        `${durationText(millis())} become ${durationText(total)}, each frame in proportion: ${paceText(playing(), total)}.`,
      run: (total: number) => arranging.fitTotal(total),
    })
  }

  function paceByDate(): void {
    asking.ask({
      title: `Pace ${asking.which} by date`,
      label: 'Total',
      suffix: 'ms',
      verb: 'Pace',
      value: millis(),
      min: limits.SetDelay.delayMillis.min * Math.max(1, playing()),
      max: limits.SetDelay.delayMillis.max * Math.max(1, playing()),
      leadsTo: (total) =>
        `Each frame shows as long as passed until the next photo was taken, all together ${durationText(total)}.`,
      run: (total: number) => arranging.paceByDate(total),
    })
  }

  function addTime(): void {
    asking.ask({
      title: `Show ${asking.which} longer, or shorter`,
      label: 'Add to each',
      suffix: 'ms',
      verb: 'Add',
      value: 20,
      ...limits.AddToDelays.millis,
      leadsTo: (by) => `${durationText(millis())} become ${durationText(Math.max(0, millis() + by * playing()))}.`,
      run: (by: number) => arranging.addTime(by),
    })
  }

  function scale(): void {
    asking.ask({
      title: `Make ${asking.which} last`,
      label: 'Of the time now',
      suffix: '%',
      verb: 'Change',
      value: 150,
      ...limits.ScaleDelays.percent,
      leadsTo: (percent) => `${durationText(millis())} become ${durationText(Math.round((millis() * percent) / 100))}.`,
      run: (percent: number) => arranging.scale(percent),
    })
  }

  function runName(): void {
    asking.ask({
      title: `Name ${asking.which}`,
      label: 'Name of the run',
      verb: 'Name',
      value: '',
      run: (name: string) => arranging.nameRun(name),
    })
  }

  function renameRun(run: number): void {
    asking.ask({
      title: 'Rename the run',
      label: 'Name of the run',
      verb: 'Rename',
      value: store.reel?.runs.find((each) => each.id === run)?.name ?? '',
      run: (name: string) => store.dispatch({ type: 'renameRun', run, name }),
    })
  }

  return { repeat, position, thin, everyNth, fitTotal, paceByDate, addTime, scale, runName, renameRun }
}
