<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <meta name="amber-nonce" content="{{ $nonce }}">
    <title>Amber Step</title>
    <link rel="icon" href="/mark.svg" type="image/svg+xml">
    {!! app(Illuminate\Foundation\Vite::class)(['web/main.tsx']) !!}
</head>
<body>
    <div id="app"></div>
    <noscript>Amber Step draws its bench in the browser: allow scripts for this address.</noscript>
</body>
</html>
