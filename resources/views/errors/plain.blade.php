<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <title>@yield('title') · Pruning Hook</title>
    <link rel="icon" href="/mark.svg" type="image/svg+xml">
    <link rel="stylesheet" href="/plain.css">
</head>
<body>
{{-- Nothing here asks for a session, a person, the database or what was built: it stands when they do not. --}}
<header><a href="/"><img src="/mark.svg" alt="" width="28" height="28"> Pruning Hook</a></header>
<main>
    <h1>@yield('title')</h1>
    <p>@yield('says')</p>
    <p><a class="go" href="@yield('to', '/')">@yield('go', 'To the season')</a></p>
</main>
</body>
</html>
