<?php

declare(strict_types=1);

namespace Tests\Support;

use Symfony\Component\Process\Process;

/** A served application killed hard, again and again, while three streams write to it. */
final class Kills
{
    private int $asked = 0;

    private int $answered = 0;

    /** @var array<string, bool> of every event that was sent, whether it was answered */
    private array $events = [];

    private function __construct(private readonly string $database, private readonly int $port) {}

    /**
     * @return array{kills: int, asked: int, answered: int, faults: list<string>} faults: what was lost, doubled, damaged or answered with a server error
     */
    public static function run(int $kills): array
    {
        $folder = sys_get_temp_dir().'/keenseam-kills-'.bin2hex(random_bytes(6));
        mkdir($folder);
        $listening = stream_socket_server('tcp://127.0.0.1:0');
        $port = $listening === false ? 8199 : (int) substr((string) strrchr((string) stream_socket_get_name($listening, false), ':'), 1);
        $listening === false || fclose($listening);
        $all = new self($folder.'/shelf.sqlite', $port);
        $root = dirname(__DIR__, 2);
        $environment = ['DB_DATABASE' => $all->database, 'PORT' => (string) $port, 'APP_ENV' => 'production', 'APP_DEBUG' => 'false', 'CACHE_PATH' => $folder.'/cache', 'PHP_CLI_SERVER_WORKERS' => '3'];
        (new Process([PHP_BINARY, 'artisan', 'shelf:open'], $root, $environment))->mustRun();
        $faults = [];
        try {
            for ($i = 0; $i < $kills; ++$i) {
                $server = new Process(['setsid', 'bin/serve'], $root, $environment);
                $server->disableOutput();
                $server->start();
                $faults = [...$faults, ...$all->writeUntil(random_int(60, 700))];
                (new Process(['pkill', '-KILL', '-f', '--', "-S 127.0.0.1:$port"]))->run();
                $server->stop(0, SIGKILL);
                // The port is free once the last worker is gone.
                for ($left = 0; $left < 100 && (new Process(['pgrep', '-f', '--', "-S 127.0.0.1:$port"]))->run() === 0; ++$left) {
                    usleep(20_000);
                }
                $faults = [...$faults, ...$all->wrong()];
            }
        } finally {
            (new Process(['pkill', '-KILL', '-f', '--', "-S 127.0.0.1:$port"]))->run();
            (new Process(['rm', '-rf', $folder]))->run();
        }

        return ['kills' => $kills, 'asked' => $all->asked, 'answered' => $all->answered, 'faults' => $faults];
    }

    /**
     * Two streams of machine keys and one of changes to the layout, for so long after the first answer.
     *
     * @return list<string>
     */
    private function writeUntil(int $milliseconds): array
    {
        $faults = [];
        for ($i = 0; $i < 200 && ($up = @fsockopen('127.0.0.1', $this->port)) === false; ++$i) {
            usleep(20_000);
        }
        isset($up) && $up !== false && fclose($up);
        $multi = curl_multi_init();
        $open = [];
        $end = null;
        $giveUp = microtime(true) + 40;
        while (($end === null || microtime(true) < $end) && microtime(true) < $giveUp) {
            foreach (['keys', 'more keys', 'layout'] as $stream) {
                if (! isset($open[$stream])) {
                    $open[$stream] = $this->request($stream);
                    curl_multi_add_handle($multi, $open[$stream][0]);
                    ++$this->asked;
                }
            }
            curl_multi_exec($multi, $running);
            curl_multi_select($multi, 0.02);
            while (($done = curl_multi_info_read($multi)) !== false) {
                foreach ($open as $stream => [$handle, $event]) {
                    if ($handle === $done['handle']) {
                        $status = (int) curl_getinfo($handle, CURLINFO_RESPONSE_CODE);
                        if ($status >= 500) {
                            $faults[] = "$stream was answered $status: ".substr((string) curl_multi_getcontent($handle), 0, 200);
                        }
                        if ($status === 200) {
                            ++$this->answered;
                            $end ??= microtime(true) + $milliseconds / 1000;
                            if ($event !== null) {
                                $this->events[$event] = true;
                            }
                        }
                        curl_multi_remove_handle($multi, $handle);
                        unset($open[$stream]);
                    }
                }
            }
        }

        return $end === null ? [...$faults, 'the server did not come up again'] : $faults;
    }

    /** @return array{\CurlHandle, string|null} and the event it tells */
    private function request(string $stream): array
    {
        $event = null;
        if ($stream === 'layout') {
            $version = (int) $this->database()->querySingle('SELECT version FROM shelf_blocks WHERE id = 2');
            [$address, $body, $headers] = ['/api/blocks/2/edits', ['edit' => ['do' => 'name', 'name' => 'Name '.$version], 'follow' => 'none'], ["If-Match: \"$version\""]];
        } else {
            $event = bin2hex(random_bytes(8));
            $this->events[$event] = false;
            [$address, $body, $headers] = ['/api/blocks/1/work/events', ['events' => [['id' => $event, 'do' => count($this->events) % 2 === 0 ? 'paused' : 'resumed', 'at' => 1_760_000_000_000]]], []];
        }
        $handle = curl_init("http://127.0.0.1:{$this->port}$address") ?: throw new \RuntimeException('No request could be made.');
        curl_setopt_array($handle, [CURLOPT_POST => true, CURLOPT_POSTFIELDS => json_encode($body, JSON_THROW_ON_ERROR), CURLOPT_RETURNTRANSFER => true, CURLOPT_HTTPHEADER => ['Content-Type: application/json', 'Accept: application/json', ...$headers], CURLOPT_TIMEOUT => 40]);

        return [$handle, $event];
    }

    /** @return list<string> */
    private function wrong(): array
    {
        $faults = [];
        $database = $this->database();
        $found = $database->querySingle('PRAGMA integrity_check(1)');
        if ($found !== 'ok') {
            $faults[] = 'damaged: '.(is_string($found) ? $found : '');
        }
        $kept = [];
        $rows = $database->query('SELECT uuid FROM work_events');
        while ($rows !== false && ($row = $rows->fetchArray(SQLITE3_NUM)) !== false) {
            $kept[$row[0]] = ($kept[$row[0]] ?? 0) + 1;
        }
        foreach ($this->events as $event => $isAnswered) {
            $times = $kept[$event] ?? 0;
            if ($times > 1 || ($isAnswered && $times === 0)) {
                $faults[] = "event $event is there $times times";
            }
        }
        $block = $database->querySingle('SELECT version, name, edit_number, (SELECT max(number) FROM block_edits WHERE shelf_block_id = 2) AS newest FROM shelf_blocks WHERE id = 2', true);
        if (is_array($block) && $block['version'] > 1 && ($block['name'] !== 'Name '.($block['version'] - 1) || $block['edit_number'] !== $block['newest'] || $block['edit_number'] !== $block['version'] - 1)) {
            $faults[] = 'the layout and its history differ: '.json_encode($block);
        }

        return $faults;
    }

    private function database(): \SQLite3
    {
        $database = new \SQLite3($this->database);
        $database->busyTimeout(5000);

        return $database;
    }
}
