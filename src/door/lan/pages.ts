/** The pages of the door itself: where a device is asked for the phrase, and where devices are signed out. */
import { escaped, plainPage } from '../trouble-page'
import type { Device } from './devices'

/** @param said - what was wrong with the last try */
export function askingPage(said: string | null): string {
  return plainPage(
    'Come in',
    `<h1>Who comes in?</h1>
<p>This house asks for its pass phrase. Whoever keeps it has set it on the machine it runs on.</p>
${said ? `<p role="alert"><strong>${escaped(said)}</strong></p>` : ''}
<form method="post" action="/lan/enter">
<p><label>This device is called<br><input name="name" maxlength="60" required autocomplete="off"></label></p>
<p><label>Pass phrase<br><input name="phrase" type="password" maxlength="200" required autocomplete="current-password"></label></p>
<p><button>Come in</button></p>
</form>`,
  )
}

export function devicesPage(devices: readonly Device[]): string {
  return plainPage(
    'Devices',
    `<h1>Devices that were let in</h1>
${devices.length === 0 ? '<p>None.</p>' : ''}
<ul>${devices
      .map(
        ({ id, name, pass, since }) => `<li><form method="post" action="/lan/out">
<input type="hidden" name="id" value="${escaped(id)}">
<strong>${escaped(name)}</strong>, ${pass === 'everything' ? 'may do everything' : 'may look only'}, since ${new Date(since).toISOString().slice(0, 10)}
<button>Sign out</button></form></li>`,
      )
      .join('')}</ul>
<p><a href="/house">To the house</a></p>`,
  )
}
