<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Shows, and the builds that are entered for them: a build is made for one show at a time. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('shows', static function (Blueprint $table): void {
            $table->char('id', 26)->primary();
            $table->string('name', 60);
            $table->char('date', 10);
            $table->unsignedInteger('by');
            $table->unsignedInteger('packing');
            $table->unsignedInteger('travel');
            $table->text('demands');
        });
        Schema::create('entries', static function (Blueprint $table): void {
            $table->char('build_id', 26)->primary();
            $table->char('show_id', 26);
        });
    }

    public function down(): void
    {
        Schema::drop('entries');
        Schema::drop('shows');
    }
};
