<?php

declare(strict_types=1);

namespace Tests\Support;

use Illuminate\Filesystem\Filesystem;
use RuntimeException;

/** The real server on a port and a database of its own, in the testing environment, with the demo loaded. */
final class Server
{
    public readonly int $port;

    public readonly string $database;

    /** @var resource|null */
    private $process;

    private int $group = 0;

    /** @var array<string, string> databases with the demo, by instant */
    private static array $demos = [];

    /** @var array<string, string> folders of what was answered of these, by instant */
    private static array $answered = [];

    /**
     * @param  string  $served  more of PHP's settings, as a command line has them
     * @param  bool  $demo  whether the demo is loaded; else there is no build
     * @param  bool  $warm  it has been looked at before: plans need not be worked out once more for each test
     */
    public function __construct(private readonly string $now, private readonly string $served = '', bool $demo = true, bool $warm = false)
    {
        $this->port = self::freePort();
        // A folder of its own: the backups that lie beside a database are kept by their number.
        $folder = sys_get_temp_dir().'/amber-'.bin2hex(random_bytes(6));
        mkdir($folder);
        $this->database = $folder.'/bench.sqlite';
        copy(self::prepared($now, $demo), $this->database);
        if ($warm) {
            (new Filesystem)->copyDirectory(self::answered($now), self::answersOf($this->database));
        }
        $this->start();
        $this->setClock($now);
    }

    /** What a server with the demo has answered at an instant: worked out once, copied from then on. */
    private static function answered(string $now): string
    {
        if (! isset(self::$answered[$now])) {
            $folder = sys_get_temp_dir().'/amber-answered-'.bin2hex(random_bytes(6));
            $server = new self($now);
            foreach ($server->request('GET', '/api/frame')[1]['builds'] as $build) {
                $server->request('GET', "/api/builds/{$build['id']}/bench?minutes=90");
            }
            $server->request('GET', '/api/frame');
            (new Filesystem)->copyDirectory(self::answersOf($server->database), $folder);
            $server->stop();
            register_shutdown_function(static fn () => (new Filesystem)->deleteDirectory($folder));
            self::$answered[$now] = $folder;
        }

        return self::$answered[$now];
    }

    private static function answersOf(string $database): string
    {
        return self::root().'/var/cache/'.hash('xxh64', $database);
    }

    public function address(): string
    {
        return 'http://127.0.0.1:'.$this->port;
    }

    public function start(): void
    {
        $command = sprintf('exec env %s PHP_CLI_SERVER_WORKERS=4 setsid %s -d memory_limit=512M -d post_max_size=12M -d zend.enable_gc=0 -d expose_php=0%s -d opcache.file_cache=%s -S 127.0.0.1:%d -t %s %s', $this->environment(), PHP_BINARY, $this->served, escapeshellarg(self::compiled()), $this->port, escapeshellarg(self::root().'/public'), escapeshellarg(self::root().'/bin/router.php'));
        $process = proc_open($command, [['file', '/dev/null', 'r'], ['file', '/dev/null', 'w'], ['file', '/dev/null', 'w']], $pipes);
        $this->process = $process === false ? null : $process;
        for ($i = 0; $i < 200; $i++) {
            $socket = @fsockopen('127.0.0.1', $this->port, $errno, $error, 0.2);
            if ($socket !== false) {
                fclose($socket);
                $this->group = is_resource($this->process) ? (int) proc_get_status($this->process)['pid'] : 0;

                return;
            }
            usleep(25000);
        }
        throw new RuntimeException('The server did not start.');
    }

    /** Where what was compiled is kept for the next server: each test has one, and would begin cold. */
    private static function compiled(): string
    {
        $folder = sys_get_temp_dir().'/amber-compiled-'.posix_getuid();
        if (! is_dir($folder)) {
            @mkdir($folder, 0700);
        }

        return $folder;
    }

    /** Kills the whole process group at once, as a power cut would. */
    public function kill(): void
    {
        if ($this->group > 0) {
            posix_kill(-$this->group, SIGKILL);
        }
        if (is_resource($this->process)) {
            proc_close($this->process);
        }
        // The workers outlive their parent by a moment and would keep the port from the next server.
        for ($i = 0; $i < 400 && ! self::isFree($this->port); $i++) {
            usleep(5000);
        }
        $this->process = null;
        $this->group = 0;
    }

    public function setClock(string $instant): void
    {
        $this->request('POST', '/api/testing/clock', ['now' => $instant]);
    }

    /**
     * @param  array<string, mixed>|null  $body
     * @return array{int, array<string, mixed>} status, 0 where nothing answered, and the answer
     */
    public function request(string $method, string $path, ?array $body = null, array $headers = []): array
    {
        $curl = curl_init($this->address().$path);
        curl_setopt_array($curl, [CURLOPT_CUSTOMREQUEST => $method, CURLOPT_RETURNTRANSFER => true, CURLOPT_TIMEOUT => 20, CURLOPT_HTTPHEADER => ['Content-Type: application/json', ...$headers]]);
        if ($body !== null) {
            curl_setopt($curl, CURLOPT_POSTFIELDS, (string) json_encode($body));
        }
        $answer = curl_exec($curl);
        $status = (int) curl_getinfo($curl, CURLINFO_RESPONSE_CODE);
        $data = is_string($answer) ? json_decode($answer, true) : null;

        return [$answer === false ? 0 : $status, is_array($data) ? $data : []];
    }

    /**
     * Asked as a browser would: compressed.
     *
     * @param  list<string>  $headers
     * @return array{int, array<string, mixed>, string} status, the answer where it is JSON, and the bytes that were sent
     */
    public function send(string $method, string $path, ?string $body = null, array $headers = []): array
    {
        [$status, $head, $sent] = $this->exchange($method, $path, $body, $headers);
        $read = match (preg_match('/^content-encoding: (\w+)/mi', $head, $m) === 1 ? $m[1] : '') {
            'gzip' => gzdecode($sent),
            'deflate' => gzuncompress($sent),
            default => $sent,
        };
        $data = json_decode((string) $read, true);

        return [$status, is_array($data) ? $data : [], $sent];
    }

    /**
     * The same without reading what came: how long the server takes is no matter of the reader.
     *
     * @param  list<string>  $headers
     * @return array{int, string, string} status, headers and bytes
     */
    public function exchange(string $method, string $path, ?string $body = null, array $headers = []): array
    {
        $curl = curl_init($this->address().$path);
        curl_setopt_array($curl, [CURLOPT_CUSTOMREQUEST => $method, CURLOPT_RETURNTRANSFER => true, CURLOPT_TIMEOUT => 60, CURLOPT_HTTPHEADER => ['Content-Type: application/json', 'Accept-Encoding: gzip, deflate', ...$headers], CURLOPT_HEADER => true]);
        if ($body !== null) {
            curl_setopt($curl, CURLOPT_POSTFIELDS, $body);
        }
        [$head, $sent] = [...explode("\r\n\r\n", (string) curl_exec($curl), 2), ''];

        return [(int) curl_getinfo($curl, CURLINFO_RESPONSE_CODE), $head, $sent];
    }

    /** One header of an answer; empty where it has none. */
    public function header(string $path, string $name): string
    {
        $value = '';
        $curl = curl_init($this->address().$path);
        curl_setopt_array($curl, [CURLOPT_RETURNTRANSFER => true, CURLOPT_HEADERFUNCTION => static function ($_, string $line) use (&$value, $name): int {
            if (stripos($line, $name.':') === 0) {
                $value = trim(substr($line, strlen($name) + 1));
            }

            return strlen($line);
        }]);
        curl_exec($curl);

        return $value;
    }

    /** The build file of a demo build, as it stands at an instant. */
    public static function export(string $name, string $now): string
    {
        $pdo = new \PDO('sqlite:'.self::prepared($now, true));
        $find = $pdo->prepare('select id from builds where name like ?');
        $find->execute(["%{$name}%"]);
        $file = sys_get_temp_dir().'/amber-export-'.bin2hex(random_bytes(6)).'.json';
        exec(self::environmentOf($now, self::prepared($now, true)).' '.PHP_BINARY.' '.escapeshellarg(self::root().'/artisan').' amber:export '.escapeshellarg((string) $find->fetchColumn()).' --to='.escapeshellarg($file).' 2>&1');
        $json = (string) file_get_contents($file);
        unlink($file);

        return $json;
    }

    public function stop(): void
    {
        $this->kill();
        (new Filesystem)->deleteDirectory(dirname($this->database));
        (new Filesystem)->deleteDirectory(self::answersOf($this->database));
    }

    private function environment(): string
    {
        return self::environmentOf($this->now, $this->database);
    }

    private static function environmentOf(string $now, string $database): string
    {
        return sprintf('APP_ENV=testing AMBER_NOW=%s DB_DATABASE=%s', escapeshellarg($now), escapeshellarg($database));
    }

    /** A database, with the demo as it stands at an instant or empty: made once, copied from then on. */
    private static function prepared(string $now, bool $demo): string
    {
        $key = $now.($demo ? '' : ' empty');
        if (isset(self::$demos[$key])) {
            return self::$demos[$key];
        }
        $folder = sys_get_temp_dir().'/amber-demo-'.bin2hex(random_bytes(6));
        mkdir($folder);
        foreach ($demo ? ['amber:upgrade', 'amber:demo'] : ['amber:upgrade'] as $command) {
            exec(self::environmentOf($now, $folder.'/demo.sqlite').' '.PHP_BINARY.' '.escapeshellarg(self::root().'/artisan').' '.$command.' 2>&1', $out, $code);
            if ($code !== 0) {
                throw new RuntimeException(implode("\n", $out));
            }
        }
        // What is still in the write-ahead log belongs into the file that is copied.
        (new \PDO("sqlite:{$folder}/demo.sqlite"))->exec('PRAGMA wal_checkpoint(TRUNCATE)');
        register_shutdown_function(static fn () => (new Filesystem)->deleteDirectory($folder));

        return self::$demos[$key] = $folder.'/demo.sqlite';
    }

    /**
     * A free port below those that the system gives to outgoing connections: while the server is down between two
     * cuts, none of its callers can sit on its port.
     */
    public static function freePort(): int
    {
        for ($try = 0; $try < 100; $try++) {
            $port = random_int(18000, 30000);
            if (self::isFree($port)) {
                return $port;
            }
        }
        throw new RuntimeException('No port is free between 18000 and 30000.');
    }

    private static function isFree(int $port): bool
    {
        $socket = @stream_socket_server('tcp://127.0.0.1:'.$port);
        if ($socket === false) {
            return false;
        }

        return fclose($socket);
    }

    private static function root(): string
    {
        return dirname(__DIR__, 2);
    }
}
