<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('revisions', function (Blueprint $table): void {
            $table->string('name', 200)->nullable();
            // edit, undo, redo or restore
            $table->string('kind', 10)->default('edit');
            // The revision whose content this one shows again, itself where it is new; and the one that was shown before.
            $table->unsignedInteger('stands_for')->default(0);
            $table->unsignedInteger('before')->nullable();
            // What redo would bring back, the next first.
            $table->jsonb('redo')->default('[]');
            // How many parts became different, where both were sound.
            $table->unsignedInteger('parts_changed')->nullable();
        });
        DB::statement('update revisions set stands_for = number, before = nullif(number - 1, 0)');
        // Kept kits can be derived again.
        DB::table('kits')->delete();
        Schema::table('kits', function (Blueprint $table): void {
            // Each part's fingerprints of cut and print and how often it is cut, by its id: what comparing revisions needs, without the
            // kit.
            $table->jsonb('parts');
        });
        // Answers are long texts that are written once and read at once: quick to pack matters more than small.
        DB::statement('alter table kits alter column answer set compression lz4');
    }

    public function down(): void
    {
        Schema::table(
            'revisions',
            fn (Blueprint $table) => $table->dropColumn(['name', 'kind', 'stands_for', 'before', 'redo', 'parts_changed']),
        );
        Schema::table('kits', fn (Blueprint $table) => $table->dropColumn('parts'));
    }
};
