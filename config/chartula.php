<?php

declare(strict_types=1);

return [
    // The demo account is offered on the sign-in page where the demo has been loaded.
    'demo' => [
        'email' => 'demo@marrowmere.example',
        'password' => env('CHARTULA_DEMO_PASSWORD', 'saltmarsh'),
    ],
    // Which core derived a kept kit: the set-up takes it from the core's own files, so that a changed core derives anew.
    'core_version' => (string) env('CHARTULA_CORE_VERSION', 'unversioned'),
    // Tries to sign in or register, a minute and an address.
    'sign_in_limit' => (int) env('CHARTULA_SIGN_IN_LIMIT', 10),
];
