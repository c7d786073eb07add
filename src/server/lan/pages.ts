/** Pages of the server itself: where a device is asked for the phrase, and where devices are signed out. */
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
</form>
<p>A device that is to go on without the house, in the next room or on the way, must trust it: fetch <a href="/lan/certificate.crt">its
certificate</a> first, and take it in with the device’s own settings for trusted certificates.</p>`,
  )
}

const dayOf = (at: number) =>
  new Date(at).toLocaleDateString('en-GB', { day: 'numeric', month: 'long', year: 'numeric' })

/** @param devices - that are in */
export function devicesPage(devices: readonly Device[]): string {
  return plainPage(
    'Devices',
    `<h1>Devices that were let in</h1>
${devices.length === 0 ? '<p>None.</p>' : ''}
<ul>${devices
      .map(
        ({ id, name, pass, since }) => `<li><form method="post" action="/lan/out">
<input type="hidden" name="id" value="${escaped(id)}">
<span><strong>${escaped(name)}</strong><br>${pass === 'everything' ? 'may do everything' : 'may look only'}, since ${dayOf(since)}</span>
<button>Sign out</button></form></li>`,
      )
      .join('')}</ul>
<p><a href="/house">To the house</a></p>`,
  )
}
