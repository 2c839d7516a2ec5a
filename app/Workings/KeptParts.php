<?php

declare(strict_types=1);

namespace App\Workings;

use Illuminate\Contracts\Cache\Repository;
use KeenSeam\Core\Pressing\PlanMemory;

/**
 * Keeps what was worked out, between requests and within one, each part by everything it was worked out from: a part of
 * other sources has another key. What is kept only saves time; a damaged or lost entry is worked out again.
 */
final class KeptParts
{
    /** Larger texts are packed. */
    private const LARGE = 4096;

    /** @var array<string, mixed> what this request has had in hand already */
    private array $atHand = [];

    public function __construct(private readonly Repository $cache) {}

    /**
     * @param list<mixed> $sources everything the part depends on: texts, numbers, enums and lists of them
     */
    public static function key(string $part, array $sources): string
    {
        return $part.':'.hash('xxh128', self::stateOfTheCode().serialize($sources));
    }

    /**
     * @template T
     *
     * @param \Closure(): T $work
     *
     * @return T
     */
    public function part(string $key, \Closure $work): mixed
    {
        return $this->recall($key) ?? $this->keep($key, $work());
    }

    /**
     * Kept for this request only.
     *
     * @template T
     *
     * @param \Closure(): T $work
     *
     * @return T
     */
    public function hold(string $key, \Closure $work): mixed
    {
        return $this->atHand[$key] ??= $work();
    }

    public function recall(string $key): mixed
    {
        if (! array_key_exists($key, $this->atHand)) {
            $this->atHand[$key] = $this->unpacked($key);
        }

        return $this->atHand[$key];
    }

    /**
     * @template T
     *
     * @param T $value
     *
     * @return T
     */
    public function keep(string $key, mixed $value): mixed
    {
        $this->atHand[$key] = $value;
        try {
            $text = serialize($value);
            $this->cache->forever($key, strlen($text) > self::LARGE ? 'z'.gzcompress($text, 1) : 's'.$text);
        } catch (\Throwable $mishap) {
            // On a full disk, say: it is worked out again.
            error_log($mishap->getMessage());
        }

        return $value;
    }

    /** Looks at the cache again for what another process may have bettered. */
    public function forgetAtHand(): void
    {
        $this->atHand = [];
    }

    /** What searches for one construction found. */
    public function memory(string $construction): PlanMemory
    {
        return new class ($this, $construction) implements PlanMemory
        {
            public function __construct(private readonly KeptParts $parts, private readonly string $construction) {}

            public function recall(string $name): ?array
            {
                $kept = $this->parts->recall(KeptParts::key('found', [$this->construction, $name]));

                return is_array($kept) ? $kept : null;
            }

            public function keep(string $name, array $found): void
            {
                $this->parts->keep(KeptParts::key('found', [$this->construction, $name]), $found);
            }
        };
    }

    private function unpacked(string $key): mixed
    {
        try {
            $kept = $this->cache->get($key);
            if (! is_string($kept) || $kept === '') {
                return null;
            }
            $text = $kept[0] === 'z' ? gzuncompress(substr($kept, 1)) : substr($kept, 1);
            $value = is_string($text) ? unserialize($text) : false;

            // What could not be read again is not there; what was kept as false is.
            return $value === false && $text !== serialize(false) ? null : $value;
        } catch (\Throwable) {
            return null;
        }
    }

    /** Changes with every change to the code that works things out or tells them, so that nothing outlives the rules it was made by. */
    private static function stateOfTheCode(): string
    {
        static $state = null;
        if ($state === null) {
            $files = [];
            foreach (['core', 'app', 'composer.versions'] as $source) {
                $files[] = self::filesIn(base_path($source));
            }
            $state = hash('xxh128', implode("\n", $files));
        }

        return $state;
    }

    private static function filesIn(string $path): string
    {
        if (is_file($path)) {
            return $path.filemtime($path).' '.filesize($path);
        }
        $told = '';
        foreach (scandir($path) ?: [] as $name) {
            $told .= $name[0] === '.' ? '' : self::filesIn($path.'/'.$name);
        }

        return $told;
    }
}
