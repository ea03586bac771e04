<?php

declare(strict_types=1);

namespace AmberStep\Core\Step;

use AmberStep\Core\Work\Severity;

/** What a rule has to say about a plan. */
final readonly class Finding
{
    public string $key;

    public string $title;

    public string $sentence;

    /** Changes when what the finding rests on changes: an acceptance then lapses. */
    public string $facts;

    /**
     * @param  list<string>  $targets  areas, joints, pieces or events it is about
     * @param  list<string>  $steps  keys of the steps it is about
     * @param  list<Fix>  $fixes
     * @param  bool  $acceptable  false for a circle of musts and for heat or flame near wet solvent
     * @param  string|null  $accepted  the user's reason, once accepted
     */
    public function __construct(
        public string $rule,
        public Severity $severity,
        string $title,
        string $sentence,
        public array $targets,
        public array $steps = [],
        public array $fixes = [],
        public bool $acceptable = true,
        public ?string $accepted = null,
        string $rests = '',
    ) {
        $this->title = ucfirst($title);
        $this->sentence = ucfirst($sentence);
        $sorted = $targets;
        sort($sorted);
        $this->key = $rule.':'.implode(',', $sorted);
        $this->facts = substr(hash('sha256', $severity->value.'|'.$title.'|'.$rests), 0, 16);
    }

    public function acceptedFor(string $reason): self
    {
        return new self($this->rule, $this->severity, $this->title, $this->sentence, $this->targets, $this->steps, $this->fixes, $this->acceptable, $reason);
    }

    /** Stands in the way: a stop nobody took responsibility for. */
    public function stops(): bool
    {
        return $this->severity === Severity::Stop && $this->accepted === null;
    }
}
