<?php

declare(strict_types=1);

/** What a person is told about a field of a form; what is not here the framework says. */
return [
    'required' => 'Please give the :attribute.',
    'required_without' => 'Please give the :attribute, or the :values.',
    'email' => 'This is no e-mail address; one looks like name@mill.example.',
    'numeric' => 'The :attribute is a number, such as 100.5.',
    'max' => [
        'string' => 'This is too long: the :attribute may have :max letters.',
        'numeric' => 'The :attribute may be :max at the most.',
        'file' => 'This file is too large: it may have :max kB.',
    ],
    'min' => [
        'string' => 'This is too short: the :attribute needs :min letters.',
        'numeric' => 'The :attribute is :min at the least.',
    ],
    'between' => [
        'numeric' => 'The :attribute lies between :min and :max.',
    ],
    'attributes' => [
        'email' => 'e-mail address',
        'archive' => 'file',
    ],
];
