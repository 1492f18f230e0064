<?php

declare(strict_types=1);

return [
    'driver' => env('SESSION_DRIVER', 'file'),
    'lifetime' => 60 * 24 * 7,
    'cookie' => 'chartula_session',
    'same_site' => 'lax',
    'http_only' => true,
    'secure' => (bool) env('SESSION_SECURE_COOKIE', false),
];
