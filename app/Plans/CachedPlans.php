<?php

declare(strict_types=1);

namespace App\Plans;

use Illuminate\Contracts\Cache\Repository;
use KeenSeam\Core\Pressing\PlanMemory;

/** Keeps what searches found in the application's cache, by the block's own text and the state of the code that searched. */
final readonly class CachedPlans implements PlanMemory
{
    private function __construct(private Repository $cache, private string $prefix) {}

    public static function of(Repository $cache, string $document): self
    {
        return new self($cache, 'plan:'.hash('xxh128', $document.self::codeState()).':');
    }

    public function recall(string $name): ?array
    {
        try {
            $kept = $this->cache->get($this->prefix.$name);
        } catch (\Throwable) {
            return null; // a damaged entry is as good as none
        }

        return is_array($kept) ? $kept : null;
    }

    public function keep(string $name, array $found): void
    {
        try {
            $this->cache->forever($this->prefix.$name, $found);
        } catch (\Throwable $mishap) {
            // It only saves time; on a full disk it is worked out again.
            error_log($mishap->getMessage());
        }
    }

    /** Changes with every change to core, so that an old plan never outlives the rules it was made by. */
    private static function codeState(): string
    {
        static $state = null;
        if ($state === null) {
            $newest = 0;
            foreach (new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator(base_path('core'), \FilesystemIterator::SKIP_DOTS)) as $file) {
                $newest = max($newest, $file instanceof \SplFileInfo ? $file->getMTime() : 0);
            }
            $state = (string) $newest;
        }

        return $state;
    }
}
