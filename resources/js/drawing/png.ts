/** A picture drawn by the server as SVG, as a file of dots: white where it is empty. */
export async function pngOf(drawn: Blob, width: number): Promise<Blob> {
  const image = new Image()
  const address = URL.createObjectURL(drawn)
  image.src = address
  await image.decode().finally(() => URL.revokeObjectURL(address))
  const canvas = document.createElement('canvas')
  canvas.width = width
  canvas.height = Math.max(1, Math.round((width * image.naturalHeight) / image.naturalWidth))
  const pen = canvas.getContext('2d')
  if (pen === null) throw new Error('This browser draws no pictures. Take the SVG instead.')
  pen.fillStyle = '#ffffff'
  pen.fillRect(0, 0, canvas.width, canvas.height)
  pen.drawImage(image, 0, 0, canvas.width, canvas.height)
  return new Promise((resolve, reject) => canvas.toBlob((blob) => (blob === null ? reject(new Error('The picture is too large for this browser. Take the SVG instead.')) : resolve(blob)), 'image/png'))
}
