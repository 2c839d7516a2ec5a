<!doctype html>
<html lang="en">
<head>
  <meta charset="utf-8">
  <meta name="viewport" content="width=device-width, initial-scale=1">
  <title>Keen Seam</title>
  <link rel="icon" href="data:image/svg+xml,%3Csvg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 16 16'%3E%3Cpath d='M2 8h12' stroke='%2314504b' stroke-width='3' stroke-dasharray='4 2'/%3E%3C/svg%3E">
  @vite('resources/js/main.ts')
</head>
<body>
  <div id="app"></div>
  <noscript>Keen Seam draws its screens with JavaScript. Switch it on and load the page again.</noscript>
</body>
</html>
