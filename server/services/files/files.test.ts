import { describe, expect, it } from 'vitest'
import { cleanName } from './clean-name'
import { sniffMime } from './sniff-mime'

describe('a file\'s name', () => {
  it.each([
    ['../../etc/passwd', 'passwd.pdf'],
    ['C:\\temp\\cert.pdf', 'cert.pdf'],
    ['..\\..\\x', 'x.pdf'],
    ['/abs/olute.PDF', 'olute.pdf'],
    ['....', 'file.pdf'],
    ['', 'file.pdf'],
    ['a\u0000b\r\nc.pdf', 'abc.pdf'],
    ['<script>.pdf', 'script.pdf'],
    ['certificate.exe', 'certificate.pdf'],
    ['Zertifikat März.pdf', 'Zertifikat März.pdf'],
    ['x'.repeat(500), `${'x'.repeat(120)}.pdf`],
    ['\u202Efdp.exe', 'fdp.pdf'],
  ])('%j is kept as %s', (raw, name) => expect(cleanName(raw, 'application/pdf')).toBe(name))
})

describe('what a file is', () => {
  it.each([
    [Buffer.from([0xff, 0xd8, 0xff, 0xe0]), 'image/jpeg'],
    [Buffer.from('\x89PNG\r\n\x1A\nrest', 'latin1'), 'image/png'],
    [Buffer.from('RIFF0000WEBPVP8 '), 'image/webp'],
    [Buffer.from('%PDF-1.7'), 'application/pdf'],
    [Buffer.from('<html>'), null],
    [Buffer.from('<svg onload=alert(1)>'), null],
    [Buffer.from('MZ'), null],
    [Buffer.from('RIFF0000WAVE'), null],
  ])('is read from its bytes', (content, mime) => expect(sniffMime(content)).toBe(mime))
})
