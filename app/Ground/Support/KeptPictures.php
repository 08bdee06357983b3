<?php

declare(strict_types=1);

namespace App\Ground\Support;

use Closure;
use Illuminate\Filesystem\Filesystem;
use Illuminate\Support\HtmlString;
use Throwable;

/**
 * Pictures that were drawn once, kept for as long as nothing changes of what they are drawn from: a sheet of a dozen
 * plants need not grow each of them whenever it is opened. Each lies in a file of its own beside what it is drawn from,
 * in short; losing them loses nothing.
 */
final class KeptPictures
{
    /** Days after which a picture goes that was not drawn anew: its visit is over. */
    private const KEPT_DAYS = 14;

    /** What draws: a picture of an earlier version of it is none. */
    private const DRAWN_BY = [
        'core/Drawing/*.php', 'core/Growth/*.php', 'core/Regrowth/*.php', 'core/Structure/*.php',
        'core/Units/*.php',
        'app/Gardens/Plants/Drawings.php', 'app/Gardens/Stems/SurveyedPlants.php', 'app/Ground/Support/Say.php',
        'resources/views/components/drawn.blade.php', 'resources/views/components/portrait.blade.php',
        'resources/views/components/bowl.blade.php',
    ];

    private ?string $drawnBy = null;

    public function __construct(
        private readonly Filesystem $files,
        private readonly string $folder,
    ) {
    }

    /**
     * @param  string  $of  what it is a picture of: there is one of each
     * @param  array<mixed>  $facts  all it is drawn from
     * @param  Closure(): string  $draw
     */
    public function show(string $of, array $facts, Closure $draw): HtmlString
    {
        $file = "$this->folder/".hash('xxh128', $of);
        $mark = hash('sha256', serialize([$facts, $this->drawnBy ??= $this->drawnBy()]));
        $kept = $this->kept($file, $mark);
        if ($kept === null) {
            $kept = $draw();
            $this->keep($file, $mark.$kept);
        }

        return new HtmlString($kept);
    }

    /** Pictures of visits that are long over go. */
    public function tidy(): void
    {
        $before = now()->subDays(self::KEPT_DAYS)->getTimestamp();
        foreach ($this->files->isDirectory($this->folder) ? $this->files->files($this->folder) : [] as $file) {
            if ($file->getMTime() < $before) {
                $this->files->delete($file->getPathname());
            }
        }
    }

    private function drawnBy(): string
    {
        $marks = [];
        foreach (self::DRAWN_BY as $pattern) {
            foreach ($this->files->glob(base_path($pattern)) as $file) {
                $marks[] = $file.$this->files->lastModified($file).$this->files->size($file);
            }
        }

        return hash('xxh128', implode($marks));
    }

    private function kept(string $file, string $mark): ?string
    {
        $kept = is_file($file) ? @gzuncompress((string) @file_get_contents($file)) : false;

        return $kept !== false && str_starts_with($kept, $mark) ? substr($kept, strlen($mark)) : null;
    }

    /** A picture that cannot be kept is drawn again the next time. */
    private function keep(string $file, string $content): void
    {
        try {
            $this->files->ensureDirectoryExists($this->folder, 0700);
            $this->files->replace($file, (string) gzcompress($content, 1), 0600);
        } catch (Throwable $thrown) {
            report($thrown);
        }
    }
}
