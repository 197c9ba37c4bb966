import { crc32, deflateSync } from 'node:zlib'

/** A one-page PDF with a few lines of text: a made-up certificate. */
export function demoCertificate(product: string, lot: string, number: string): Buffer {
  const lines = [
    'Certificate of analysis (made up for the demo shop)',
    product,
    `Lot ${lot}`,
    `Certificate ${number}`,
    'Sodium nitrite 6.25 % (6.0 to 6.5 %)',
    'Sodium chloride 93.75 %',
  ]
  const text = `BT /F1 16 Tf 60 760 Td 24 TL ${lines.map(line => `(${line.replace(/[()\\]/g, '\\$&')}) '`).join(' ')} ET`
  const objects = [
    '<< /Type /Catalog /Pages 2 0 R >>',
    '<< /Type /Pages /Kids [3 0 R] /Count 1 >>',
    '<< /Type /Page /Parent 2 0 R /MediaBox [0 0 595 842] /Contents 4 0 R /Resources << /Font << /F1 5 0 R >> >> >>',
    `<< /Length ${text.length} >>\nstream\n${text}\nendstream`,
    '<< /Type /Font /Subtype /Type1 /BaseFont /Helvetica >>',
  ]
  let body = '%PDF-1.4\n'
  const places = objects.map((object, i) => {
    const place = body.length
    body += `${i + 1} 0 obj\n${object}\nendobj\n`
    return place
  })
  const table = ['0000000000 65535 f ', ...places.map(place => `${String(place).padStart(10, '0')} 00000 n `)]
  return Buffer.from(
    `${body}xref\n0 ${table.length}\n${table.join('\n')}\ntrailer << /Size ${table.length} /Root 1 0 R `
    + `>>\nstartxref\n${body.length}\n%%EOF\n`,
    'latin1',
  )
}

const WIDTH = 240
const HEIGHT = 160

/** A picture drawn in code: two slabs in a crate. */
export function demoPhoto(): Buffer {
  const pixel = (x: number, y: number): [number, number, number] => {
    const slab = (x > 20 && x < 112 && y > 30 && y < 130) || (x > 128 && x < 220 && y > 36 && y < 136)
    if (!slab) return (x + y) % 16 < 2 ? [150, 150, 146] : [196, 196, 190]
    return Math.floor(y / 9 + Math.sin(x / 17)) % 3 === 0 ? [236, 214, 200] : [196, 96, 92]
  }
  const rows = Array.from({ length: HEIGHT }, (_, y) => [
    0,
    ...Array.from({ length: WIDTH }, (_, x) => pixel(x, y)).flat(),
  ]).flat()
  const header = Buffer.alloc(13)
  header.writeUInt32BE(WIDTH, 0)
  header.writeUInt32BE(HEIGHT, 4)
  header.set([8, 2, 0, 0, 0], 8)
  const chunk = (type: string, data: Buffer) => {
    const named = Buffer.concat([Buffer.from(type, 'latin1'), data])
    const [length, check] = [Buffer.alloc(4), Buffer.alloc(4)]
    length.writeUInt32BE(data.length)
    check.writeUInt32BE(crc32(named))
    return Buffer.concat([length, named, check])
  }
  return Buffer.concat([
    Buffer.from('\x89PNG\r\n\x1A\n', 'latin1'),
    chunk('IHDR', header),
    chunk('IDAT', deflateSync(Buffer.from(rows))),
    chunk('IEND', Buffer.alloc(0)),
  ])
}
