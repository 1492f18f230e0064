<?php

declare(strict_types=1);

namespace App\Http;

use RuntimeException;

/** Reads the build's manifest and writes the page that loads it. */
final readonly class FrontEnd
{
    private const ENTRY = 'web/src/main.tsx';

    public function page(): string
    {
        $manifest = json_decode((string) file_get_contents(public_path('build/manifest.json')), true);
        $entry = is_array($manifest) ? ($manifest[self::ENTRY] ?? null) : null;
        if (! is_array($entry) || ! is_string($entry['file'] ?? null)) {
            throw new RuntimeException('The front end has not been built: run bin/start');
        }
        $head = '';
        foreach (is_array($entry['css'] ?? null) ? $entry['css'] : [] as $css) {
            $head .= '<link rel="stylesheet" href="/build/'.e(is_string($css) ? $css : '').'">';
        }

        return '<!doctype html><html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1">'
            .'<title>Chartula</title><link rel="icon" href="/favicon.svg" type="image/svg+xml">'.$head
            .'<script type="module" src="/build/'.e($entry['file']).'"></script></head>'
            .'<body><div id="root"></div><noscript>Chartula needs JavaScript in the browser.</noscript></body></html>';
    }
}
