import type { createIntake } from './intake.ts'
import type { LineMessage } from './line.ts'
import type { createLink } from './link.ts'
import type { openWriter } from './writer.ts'

interface TabsOptions {
  intake: ReturnType<typeof createIntake>
  link: ReturnType<typeof createLink>
  writer: () => Awaited<ReturnType<typeof openWriter>> | null
  reload: (subject: string) => void
  reloadSite: () => void
  startOver: () => void
}

/** What to do when another tab of this browser tells something. */
export function answerTabs({ intake, link, writer, reload, reloadSite, startOver }: TabsOptions) {
  return (message: LineMessage): void => {
    switch (message.type) {
      case 'made':
        intake.added(message.entries)
        return writer()?.sendIfLeading()
      case 'receipt':
        return intake.receive(message.receipt, message.entry)
      case 'heard':
        return intake.hear(message.entry)
      case 'anew':
        return message.subjects.forEach(reload)
      case 'changed':
        return reloadSite()
      case 'startOver':
        return startOver()
      case 'link':
        link.become(message.linked)
        return
      case 'unkept':
        link.unkept.value = message.why
        return
      case 'standstill':
        link.standstill.value = message.why
        return
      case 'signInNeeded':
        return link.askToSignIn()
      case 'hello':
        if (!writer()?.isLeading()) return
        writer()?.tell({ type: 'link', linked: link.linked.value })
        writer()?.tell({ type: 'standstill', why: link.standstill.value })
    }
  }
}
