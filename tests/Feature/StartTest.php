<?php

declare(strict_types=1);

namespace Tests\Feature;

use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;

/** bin/start on an installed copy: what it says when it cannot, and that nothing of it stays behind. */
final class StartTest extends TestCase
{
    private string $folder;

    /** @var list<Process> */
    private array $started = [];

    protected function setUp(): void
    {
        $this->folder = sys_get_temp_dir().'/keenseam-start-'.bin2hex(random_bytes(6));
        mkdir($this->folder);
    }

    protected function tearDown(): void
    {
        foreach ($this->started as $process) {
            $process->stop(3);
        }
        (new Process(['rm', '-rf', $this->folder]))->run();
    }

    public function test_a_second_start_says_so_and_a_killed_one_leaves_nothing_behind(): void
    {
        $port = self::freePort();
        $first = $this->start($port, 'shelf.sqlite');
        self::assertTrue(self::waitUntil(static fn (): bool => self::answers($port)), $first->getOutput());

        $second = $this->start(self::freePort(), 'shelf.sqlite');
        $second->wait();
        self::assertSame(1, $second->getExitCode());
        self::assertStringContainsString('is running on this shelf already', $second->getOutput());

        $onSamePort = $this->start($port, 'other.sqlite');
        $onSamePort->wait();
        self::assertSame(1, $onSamePort->getExitCode());
        self::assertStringContainsString("Port $port is taken by another program", $onSamePort->getOutput());
        self::assertFileDoesNotExist($this->folder.'/other.sqlite');

        // Hard, so that it can do nothing about it itself.
        $first->signal(SIGKILL);
        self::assertTrue(self::waitUntil(static fn (): bool => ! self::answers($port)), 'the server went with it');
        $left = new Process(['pgrep', '-f', '--', "-S 127.0.0.1:$port"]);
        $left->run();
        self::assertSame('', trim($left->getOutput()));
        $again = $this->start($port, 'shelf.sqlite');
        self::assertTrue(self::waitUntil(static fn (): bool => self::answers($port)), 'it can be started again: '.$again->getOutput());
    }

    public function test_a_damaged_shelf_is_not_served(): void
    {
        file_put_contents($this->folder.'/shelf.sqlite', random_bytes(20_000));
        $start = $this->start(self::freePort(), 'shelf.sqlite');
        $start->wait();
        self::assertSame(1, $start->getExitCode());
        self::assertStringContainsString('is damaged. It was not touched.', $start->getOutput());
        self::assertStringContainsString('There is no good copy', $start->getOutput());
    }

    private function start(int $port, string $shelf): Process
    {
        $process = new Process(['bin/start'], dirname(__DIR__, 2), ['PORT' => (string) $port, 'DB_DATABASE' => $this->folder.'/'.$shelf, 'CACHE_PATH' => $this->folder.'/cache']);
        $process->setTimeout(120);
        $process->start();
        $this->started[] = $process;

        return $process;
    }

    private static function answers(int $port): bool
    {
        $socket = @fsockopen('127.0.0.1', $port, timeout: 0.2);
        if ($socket === false) {
            return false;
        }
        fclose($socket);

        return true;
    }

    /** @param \Closure(): bool $is */
    private static function waitUntil(\Closure $is): bool
    {
        for ($i = 0; $i < 600; ++$i) {
            if ($is()) {
                return true;
            }
            usleep(50_000);
        }

        return false;
    }

    private static function freePort(): int
    {
        $socket = stream_socket_server('tcp://127.0.0.1:0') ?: throw new \RuntimeException('No port is free.');
        $name = (string) stream_socket_get_name($socket, false);
        fclose($socket);

        return (int) substr((string) strrchr($name, ':'), 1);
    }
}
