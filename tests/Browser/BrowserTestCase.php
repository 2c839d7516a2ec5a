<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Chrome\ChromeOptions;
use Facebook\WebDriver\Exception\NoSuchElementException;
use Facebook\WebDriver\Exception\StaleElementReferenceException;
use Facebook\WebDriver\Remote\DesiredCapabilities;
use Facebook\WebDriver\Remote\RemoteWebDriver;
use Facebook\WebDriver\Remote\RemoteWebElement;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverDimension;
use Facebook\WebDriver\WebDriverKeys;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;

/** A real Chromium on the real application, with a free port and a fresh shelf for every test. */
abstract class BrowserTestCase extends TestCase
{
    private const FAILURES = __DIR__.'/../failures';

    protected RemoteWebDriver $browser;

    protected string $address;

    private static ?Process $driver = null;

    private static int $driverPort;

    private static ?string $plans = null;

    private Process $server;

    /** @var array<string, string> of the server */
    private array $environment;

    private string $folder;

    public static function setUpBeforeClass(): void
    {
        self::$driverPort = self::freePort();
        self::$driver = new Process(['chromedriver', '--port='.self::$driverPort]);
        self::$driver->start();
        self::waitForPort(self::$driverPort);
    }

    public static function tearDownAfterClass(): void
    {
        self::$driver?->stop(2);
    }

    protected function setUp(): void
    {
        $this->folder = sys_get_temp_dir().'/keenseam-'.bin2hex(random_bytes(6));
        mkdir($this->folder);
        touch($this->folder.'/shelf.sqlite');
        $port = self::freePort();
        $this->address = "http://127.0.0.1:$port";
        $environment = ['PORT' => (string) $port, 'DB_DATABASE' => $this->folder.'/shelf.sqlite', 'APP_ENV' => 'production', 'CACHE_STORE' => 'file', 'CACHE_PATH' => self::plans()];
        (new Process([PHP_BINARY, 'artisan', 'shelf:open'], self::root(), $environment))->mustRun();
        $this->environment = $environment;
        $this->startServer();
        $this->browser = $this->openBrowser();
    }

    protected function tearDown(): void
    {
        if ($this->status()->isFailure() || $this->status()->isError()) {
            is_dir(self::FAILURES) || mkdir(self::FAILURES);
            $this->browser->takeScreenshot(self::FAILURES.'/'.$this->name().'.png');
        }
        $this->browser->quit();
        $this->stopServer();
        (new Process(['rm', '-rf', $this->folder]))->run();
    }

    protected function startServer(): void
    {
        $this->server = new Process(['bin/serve'], self::root(), $this->environment);
        $this->server->disableOutput();
        $this->server->start();
        self::waitForPort((int) $this->environment['PORT']);
    }

    /** The shelf that is served, for what no quilter could do by hand. */
    protected function shelf(): \PDO
    {
        return new \PDO('sqlite:'.$this->environment['DB_DATABASE'], options: [\PDO::ATTR_DEFAULT_FETCH_MODE => \PDO::FETCH_ASSOC]);
    }

    protected function stopServer(): void
    {
        $this->server->stop(1, SIGKILL);
        // The server's workers outlive it when it is killed; they hold the port's number in their command line.
        (new Process(['pkill', '-KILL', '-f', '--', '-S '.substr($this->address, 7)]))->run();
    }

    protected function visit(string $path): void
    {
        $this->browser->get($this->address.$path);
    }

    protected function find(string $selector): RemoteWebElement
    {
        return $this->until(fn (): RemoteWebElement => $this->browser->findElement(WebDriverBy::cssSelector($selector)), "nothing matches $selector");
    }

    /** The button or link of that name. */
    /** A picture for whoever asks for it by LOOK_IN, a folder. */
    protected function look(string $name): void
    {
        $folder = getenv('LOOK_IN');
        if (is_string($folder) && $folder !== '') {
            $this->browser->takeScreenshot("$folder/$name.png");
        }
    }

    protected function named(string $name): RemoteWebElement
    {
        $path = sprintf('//*[self::a or self::button][normalize-space(.)="%1$s" or @aria-label="%1$s"]', $name);

        return $this->until(fn (): RemoteWebElement => $this->browser->findElement(WebDriverBy::xpath($path)), "there is no button or link \"$name\"");
    }

    protected function attribute(string $selector, string $name): string
    {
        return $this->until(fn (): string => (string) $this->browser->findElement(WebDriverBy::cssSelector($selector))->getAttribute($name), "nothing matches $selector");
    }

    /** One of a list that opens, by the arrows: the list still grows and moves while a click would be on its way. */
    protected function choose(string $label, string $option): void
    {
        $this->until(fn (): bool => (bool) $this->browser->executeScript('const field = document.querySelector(`input[aria-label="${arguments[0]}"]`); field?.scrollIntoView({ block: "center" }); return !!field', [$label]), "there is no list \"$label\"");
        $field = $this->find("input[aria-label=\"$label\"]");
        $field->sendKeys(WebDriverKeys::ENTER);
        $this->until(fn (): bool => $field->getAttribute('aria-expanded') === 'true', "the list \"$label\" does not open");
        $this->until(function () use ($field, $option): bool {
            $here = (string) $this->browser->executeScript('return document.getElementById(arguments[0].getAttribute("aria-activedescendant"))?.textContent.trim() ?? ""', [$field]);
            $isHere = str_starts_with($here, $option);
            $field->sendKeys($isHere ? WebDriverKeys::ENTER : WebDriverKeys::ARROW_DOWN);

            return $isHere;
        }, "\"$option\" is not in the list");
        $this->until(fn (): bool => $field->getAttribute('aria-expanded') === 'false', "the list \"$label\" does not close");
    }

    /** In place of what stands in the field. */
    protected function fill(string $selector, string $text): void
    {
        $this->find($selector)->click();
        $this->browser->action()->keyDown(null, WebDriverKeys::CONTROL)->sendKeys(null, 'a')->keyUp(null, WebDriverKeys::CONTROL)->perform();
        $this->find($selector)->sendKeys($text);
    }

    /** Clicks the first thing that says just this. */
    protected function clickText(string $selector, string $text): void
    {
        $this->waitUntil(fn (): bool => $this->browser->executeScript('const found = [...document.querySelectorAll(arguments[0])].find((one) => one.textContent.trim() === arguments[1]); found?.click(); return !!found', [$selector, $text]) === true, "\"$text\" is not there");
    }

    /** A window of that size, fingers in place of a mouse if it is said so. */
    protected function windowOf(int $width, int $height, bool $isTouched = false): void
    {
        $this->browser->manage()->window()->setSize(new WebDriverDimension(1280, 800));
        $this->browser->executeCustomCommand('/session/:sessionId/goog/cdp/execute', 'POST', ['cmd' => 'Emulation.setDeviceMetricsOverride', 'params' => ['width' => $width, 'height' => $height, 'deviceScaleFactor' => 1, 'mobile' => $isTouched]]);
        if ($isTouched) {
            $this->browser->executeCustomCommand('/session/:sessionId/goog/cdp/execute', 'POST', ['cmd' => 'Emulation.setTouchEmulationEnabled', 'params' => ['enabled' => true]]);
        }
    }

    /** @return list<string> */
    protected function texts(string $selector): array
    {
        return array_map(static fn (RemoteWebElement $element): string => $element->getText(), array_values($this->browser->findElements(WebDriverBy::cssSelector($selector))));
    }

    protected function seesText(string $text): void
    {
        $this->until(fn (): bool => str_contains($this->browser->findElement(WebDriverBy::tagName('body'))->getText(), $text), "the page does not say \"$text\"");
        self::assertStringContainsString($text, $this->find('body')->getText());
    }

    /** @param \Closure(): bool $isSo */
    protected function waitUntil(\Closure $isSo, string $else): void
    {
        self::assertNotFalse($this->until($isSo, $else));
    }

    /** Clicks what is drawn, where it is drawn. */
    protected function clickOn(string $selector): void
    {
        $this->browser->action()->moveToElement($this->find($selector))->click()->perform();
    }

    /** @param list<array{float, float}> $points */
    protected function touch(string $type, array $points): void
    {
        $this->browser->executeCustomCommand('/session/:sessionId/goog/cdp/execute', 'POST', ['cmd' => 'Input.dispatchTouchEvent', 'params' => ['type' => $type, 'touchPoints' => array_map(static fn (array $point): array => ['x' => $point[0], 'y' => $point[1]], $points)]]);
    }

    /** @return array{float, float} */
    protected function centre(string $selector, int $offset = 0): array
    {
        $this->find($selector);
        $box = $this->browser->executeScript('const box = document.querySelector(arguments[0]).getBoundingClientRect(); return [box.left + box.width / 2, box.top + box.height / 2]', [$selector]);

        return [(float) $box[0] + $offset, (float) $box[1] + $offset];
    }

    protected function press(string $key): void
    {
        $this->browser->switchTo()->activeElement()->sendKeys($key);
    }

    /** Plans of the demo are worked out once for all tests of a run, as they are once for a shelf. */
    private static function plans(): string
    {
        if (self::$plans === null) {
            self::$plans = sys_get_temp_dir().'/keenseam-plans-'.bin2hex(random_bytes(6));
            register_shutdown_function(static fn () => (new Process(['rm', '-rf', (string) self::$plans]))->run());
        }

        return self::$plans;
    }

    protected static function root(): string
    {
        return dirname(__DIR__, 2);
    }

    /**
     * @template T
     *
     * @param \Closure(): T $look
     *
     * @return T as soon as it is neither false nor an element that is not there
     */
    protected function until(\Closure $look, string $else): mixed
    {
        $end = microtime(true) + 25;
        do {
            try {
                $found = $look();
                if ($found !== false) {
                    return $found;
                }
            } catch (NoSuchElementException|StaleElementReferenceException) {
            }
            usleep(20_000);
        } while (microtime(true) < $end);
        self::fail($else);
    }

    private function openBrowser(): RemoteWebDriver
    {
        $options = (new ChromeOptions())->addArguments([
            '--headless', '--no-sandbox', '--disable-gpu', '--disable-background-networking', '--disable-component-update',
            '--disable-sync', '--no-first-run', '--disable-dev-shm-usage', '--user-data-dir='.$this->folder.'/profile',
        ]);
        $options->setExperimentalOption('prefs', ['download.default_directory' => $this->folder]);
        $browser = RemoteWebDriver::create('http://127.0.0.1:'.self::$driverPort, DesiredCapabilities::chrome()->setCapability(ChromeOptions::CAPABILITY, $options), 30_000, 60_000);
        $browser->manage()->window()->setSize(new WebDriverDimension(1280, 800));

        return $browser;
    }

    protected static function freePort(): int
    {
        $socket = stream_socket_server('tcp://127.0.0.1:0') ?: throw new \RuntimeException('No free port.');
        $name = (string) stream_socket_get_name($socket, false);
        fclose($socket);

        return (int) substr($name, (int) strrpos($name, ':') + 1);
    }

    protected static function waitForPort(int $port): void
    {
        $end = microtime(true) + 15;
        while (($socket = @fsockopen('127.0.0.1', $port)) === false) {
            microtime(true) < $end ?: throw new \RuntimeException("Nothing answers on port $port.");
            usleep(20_000);
        }
        fclose($socket);
    }
}
