<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What answers rest on is asked at each request: the last event of a build, and verdicts and mixes of all. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('events', static function (Blueprint $table): void {
            $table->index(['build_id', 'number']);
            $table->index(['kind', 'number']);
        });
    }

    public function down(): void
    {
        Schema::table('events', static function (Blueprint $table): void {
            $table->dropIndex(['build_id', 'number']);
            $table->dropIndex(['kind', 'number']);
        });
    }
};
