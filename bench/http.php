<?php

declare(strict_types=1);

/*
 * Times an edit to its answer over HTTP, against a running bin/start: each edit moves a window by a brick and back, so
 * that every answer is derived, dry-fitted and checked anew (the name changes too, or the kept kit would answer).
 *
 *   php bench/http.php [address] [edits] [windows]
 *
 * With windows, a loft with so many in front and back: 33 make about 150 pieces, and all of one wall move at once. With `singly-95` each
 * window stands by itself, and one moves: 95 make about 400 parts. With `creamery`, that.
 */

use GuzzleHttp\Client;
use GuzzleHttp\Cookie\CookieJar;

require __DIR__.'/../vendor/autoload.php';
require __DIR__.'/buildings.php';

$address = $argv[1] ?? 'http://127.0.0.1:8080';
$edits = (int) ($argv[2] ?? 60);
$office = (string) file_get_contents(__DIR__.'/../docs/examples/weigh-office.json');
[$document, $wall, $opening] = match ($argv[3] ?? '') {
    '' => [$office, 'front', 'w1'],
    'singly-33', 'singly-95', 'singly-240' => [singly($office, (int) substr($argv[3], 7)), 'front', 'w'],
    'creamery' => [(string) file_get_contents(__DIR__.'/../docs/examples/creamery.json'), 'hall.front', 'w1'],
    default => [loft($office, (int) $argv[3]), 'front', 'w'],
};
$jar = new CookieJar;
$client = new Client(['base_uri' => $address, 'cookies' => $jar]);
$send = static function (string $method, string $path, array $data = []) use ($client, $jar): string {
    $token = urldecode($jar->getCookieByName('XSRF-TOKEN')?->getValue() ?? '');

    return (string) $client->request(
        $method,
        "/api/$path",
        ['json' => $data, 'headers' => ['Accept' => 'application/json', 'X-XSRF-TOKEN' => $token]],
    )->getBody();
};
$call = static fn (string $method, string $path, array $data = []): mixed => json_decode($send($method, $path, $data));
$uuid = static fn (): string => preg_replace('/^(.{8})(.{4}).(.{3}).(.{3})(.{12})$/', '$1-$2-4$3-a$4-$5', bin2hex(random_bytes(16)));
$call('GET', 'me');
$call('POST', 'register', ['name' => 'Bench', 'email' => bin2hex(random_bytes(6)).'@marrowmere.example', 'password' => 'a long password']);
$project = $call('POST', 'projects', ['name' => 'Bench'])->project;
$building = $call('POST', "projects/$project->id/buildings", ['client_id' => $uuid(), 'document' => $document]);
$times = [];
for ($i = 0; $i < $edits + 5; $i++) {
    // Nobody edits faster than they see the answer.
    usleep(100_000);
    $start = hrtime(true);
    $send('POST', "buildings/$building->id/revisions", ['client_id' => $uuid(), 'base' => $i + 1, 'edits' => [
        ['op' => 'move-opening', 'wall' => $wall, 'id' => $opening, 'bricks' => $i % 2 === 0 ? 0.25 : -0.25],
        ['op' => 'set', 'path' => 'name', 'value' => "Bench $i ".bin2hex(random_bytes(4))],
    ]]);
    $times[] = (hrtime(true) - $start) / 1e6;
}
$times = array_slice($times, 5);
sort($times);
printf(
    "%d edits: p50 %.0f ms, p95 %.0f ms, most %.0f ms\n",
    $edits,
    $times[intdiv($edits, 2)],
    $times[(int) ($edits * 0.95)],
    $times[$edits - 1],
);
$start = hrtime(true);
$pdf = $client->get("/api/buildings/$building->id/sheets.pdf");
printf("PDF of the sheets: %.0f ms, %d kB\n", (hrtime(true) - $start) / 1e6, strlen((string) $pdf->getBody()) / 1024);
$call('DELETE', "projects/$project->id");
