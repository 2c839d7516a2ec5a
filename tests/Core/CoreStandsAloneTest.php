<?php

declare(strict_types=1);

namespace Tests\Core;

use PhpParser\Node;
use PhpParser\NodeFinder;
use PhpParser\NodeTraverser;
use PhpParser\NodeVisitor\NameResolver;
use PhpParser\ParserFactory;
use PHPUnit\Framework\TestCase;

/** core/ is plain PHP: it names no class but its own and PHP's, and calls no function but PHP's. */
final class CoreStandsAloneTest extends TestCase
{
    /** Inside core, a later folder may use earlier ones, never the reverse. */
    private const FOLDERS = ['Measure', 'Geometry', 'Block', 'Top', 'Assembly', 'Pressing', 'Matching', 'Making', 'Layout', 'Guide', 'Drawing', 'Photo'];

    /** Where the same input might not give the same answer. */
    private const IMPURE = [
        'time', 'microtime', 'hrtime', 'date', 'gmdate', 'mktime', 'strtotime', 'getdate', 'localtime', 'date_create', 'uniqid',
        'rand', 'mt_rand', 'mt_srand', 'srand', 'lcg_value', 'random_int', 'random_bytes', 'shuffle', 'str_shuffle', 'array_rand',
        'getenv', 'putenv', 'ini_get', 'gethostname', 'getmypid', 'sys_get_temp_dir', 'memory_get_usage',
        'fopen', 'file', 'file_get_contents', 'file_put_contents', 'readfile', 'scandir', 'glob', 'is_file', 'file_exists', 'unlink', 'mkdir', 'tempnam',
        'exec', 'shell_exec', 'system', 'passthru', 'proc_open', 'popen', 'curl_init', 'fsockopen', 'stream_socket_client', 'error_log',
    ];

    /** Classes of PHP's that look at the clock, at files, or at chance without a seed. */
    private const IMPURE_CLASSES = ['DateTime', 'DateTimeImmutable', 'DatePeriod', 'SplFileObject', 'SplFileInfo', 'DirectoryIterator', 'PDO', 'Random\\Engine\\Secure'];

    public function test_core_uses_no_framework_and_no_application(): void
    {
        $foreign = [];
        foreach (self::files() as $file => $nodes) {
            foreach ((new NodeFinder())->findInstanceOf($nodes, Node\Name\FullyQualified::class) as $name) {
                $text = $name->toString();
                $isOwn = str_starts_with($text, 'KeenSeam\\Core\\');
                if (! $isOwn && str_contains($text, '\\') && ! str_starts_with($text, 'Brick\\Math\\') && ! str_starts_with($text, 'Random\\')) {
                    $foreign[] = "$file:{$name->getStartLine()} $text";
                }
            }
        }
        self::assertSame([], $foreign);
    }

    public function test_core_calls_only_functions_of_php_and_none_that_look_at_the_world(): void
    {
        $php = array_flip(get_defined_functions()['internal']);
        $foreign = [];
        foreach (self::files() as $file => $nodes) {
            foreach ((new NodeFinder())->findInstanceOf($nodes, Node\Expr\FuncCall::class) as $call) {
                $name = $call->name instanceof Node\Name ? strtolower($call->name->getLast()) : null;
                if ($name !== null && (! isset($php[$name]) || in_array($name, self::IMPURE, true))) {
                    $foreign[] = "$file:{$call->getStartLine()} $name()";
                }
            }
        }
        self::assertSame([], $foreign);
    }

    public function test_core_makes_nothing_that_looks_at_the_world(): void
    {
        $impure = $made = [];
        foreach (self::files() as $file => $nodes) {
            foreach ((new NodeFinder())->findInstanceOf($nodes, Node\Expr\New_::class) as $new) {
                $made[] = $class = $new->class instanceof Node\Name ? ltrim($new->class->toString(), '\\') : '';
                // A randomizer without an engine takes chance as it comes.
                if (in_array($class, self::IMPURE_CLASSES, true) || ($class === 'Random\Randomizer' && $new->args === [])) {
                    $impure[] = "$file:{$new->getStartLine()} new $class";
                }
            }
        }
        self::assertSame([], $impure);
        self::assertContains('Random\Randomizer', $made, 'it would have been seen');
    }

    public function test_earlier_folders_do_not_use_later_ones(): void
    {
        $ranks = array_flip(self::FOLDERS);
        $upward = [];
        foreach (self::files() as $file => $nodes) {
            $own = explode('/', $file)[0];
            foreach ((new NodeFinder())->findInstanceOf($nodes, Node\Name\FullyQualified::class) as $name) {
                $used = explode('\\', $name->toString())[2] ?? '';
                if (isset($ranks[$own], $ranks[$used]) && $ranks[$used] > $ranks[$own]) {
                    $upward[] = "$file:{$name->getStartLine()} uses $used";
                }
            }
        }
        self::assertSame([], $upward);
    }

    public function test_every_file_is_strict_about_types(): void
    {
        foreach (array_keys(self::files()) as $file) {
            self::assertStringContainsString('declare(strict_types=1);', (string) file_get_contents(self::root().$file), $file);
        }
    }

    /** @return array<string, array<Node>> parsed, names resolved, by path below core/ */
    private static function files(): array
    {
        static $files = null;
        if ($files === null) {
            $parser = (new ParserFactory())->createForNewestSupportedVersion();
            $files = [];
            foreach (new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator(self::root(), \FilesystemIterator::SKIP_DOTS)) as $file) {
                $traverser = new NodeTraverser(new NameResolver());
                $files[substr((string) $file, strlen(self::root()))] = $traverser->traverse($parser->parse((string) file_get_contents((string) $file)) ?? []);
            }
        }

        return $files;
    }

    private static function root(): string
    {
        return dirname(__DIR__, 2).'/core/';
    }
}
