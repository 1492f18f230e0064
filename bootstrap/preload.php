<?php

declare(strict_types=1);

/*
 * Read once as the web server begins, for all whom it answers: every class of the core, which is most of what an answer takes. What it
 * is read from is its alone; a new version of the program begins the server anew.
 */

$core = dirname(__DIR__).'/core';

spl_autoload_register(static function (string $class) use ($core): void {
    $name = str_starts_with($class, 'Chartula\\Core\\') ? substr($class, strlen('Chartula\\Core\\')) : null;
    if ($name !== null && is_file($file = $core.'/'.str_replace('\\', '/', $name).'.php')) {
        require_once $file;
    }
});

foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator($core, FilesystemIterator::SKIP_DOTS)) as $file) {
    // What writes PDF files is of another package.
    if ($file instanceof SplFileInfo && $file->getExtension() === 'php' && ! str_starts_with($file->getFilename(), 'Pdf')) {
        require_once $file->getPathname();
    }
}
